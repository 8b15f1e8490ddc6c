import {
  comesInSheets,
  formatLength,
  mm,
  readLength,
  sheetSizes,
  sheetToBuy,
  type CuttingSource,
  type Length,
  type SheetSize,
  type Unit,
} from '@snowdrift/core'
import { useMaterialsQuery } from '../../../api/api'
import { LengthField } from '../../../parts/LengthField'
import { SelectField } from '../../../parts/SelectField'
import { usualCloth } from '../../../views/cloth-words'
import { useCover } from '../cover-context'
import type { GroupJob } from './group-job'
import { sayStashPiece } from './sources'
import type { Cutting } from './use-cutting'

/** Which row of the stash a group comes from, which of its pieces may be used, and whether more may be bought. */
export function SourceChooser({ job, cutting }: { readonly job: GroupJob; readonly cutting: Cutting }) {
  const { unit, division } = useCover()
  const { data: materials = [] } = useMaterialsQuery()
  const { group, source } = job
  const { material, offered, settings } = source
  const rows = materials.filter(row => row.material.role === group.role)
  const change = (changes: Partial<CuttingSource>) =>
    cutting.change(before => ({
      ...before,
      sources: { ...before.sources, [group.key]: { ...settings, ...changes } },
    }))
  const allowed = (id: string) => settings.pieces === null || settings.pieces.includes(id)
  const allow = (id: string, on: boolean) => {
    const now = settings.pieces ?? offered.map(piece => piece.id)
    change({ pieces: on ? [...now, id] : now.filter(other => other !== id) })
  }
  const usual = readLength(material?.stock.width ?? usualCloth(unit), material?.unit ?? unit, widths)
  return (
    <details className="rounded-md bg-sunken/60 px-3 py-2">
      <summary>
        {material
          ? `From the stash: ${offered.filter(({ id }) => allowed(id)).length} of ${offered.length} pieces may be used`
          : 'Not from the stash'}
        {settings.buy ? '; the rest is bought' : '; nothing is bought'}
      </summary>
      <div className="mt-3 grid items-start gap-4 sm:grid-cols-2">
        <SelectField
          label="Material of the stash"
          value={material?.id ?? ''}
          choices={{
            ...(!material && { '': 'none' }),
            ...Object.fromEntries(rows.map(row => [row.id, row.material.name])),
          }}
          onChange={materialId => change({ materialId: materialId || null, pieces: null })}
        />
        <fieldset className="grid content-start gap-1">
          <legend className="font-medium">Pieces that may be used</legend>
          {offered.length === 0 && <p className="text-sm text-soft">There is none in the stash.</p>}
          {offered.map(piece => (
            <label key={piece.id} className="flex min-h-7 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-thread"
                checked={allowed(piece.id)}
                onChange={event => allow(piece.id, event.target.checked)}
              />
              {sayStashPiece(piece, material?.unit ?? unit, unit)}
              {piece.state === 'reserved' && <span className="text-sm text-soft">kept</span>}
            </label>
          ))}
        </fieldset>
        <label className="flex min-h-7 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-thread"
            checked={settings.buy}
            onChange={event => change({ buy: event.target.checked })}
          />
          More may be bought
        </label>
        {settings.buy && comesInSheets(group.role) && (
          <SelectField
            label="Sheets to buy"
            value={settings.sheet ?? ''}
            choices={{
              '': `the smallest that will do: ${saySheet(sheetToBuy(group, null), unit)}`,
              ...Object.fromEntries(sheetSizes.map(size => [size.id, saySheet(size, unit)])),
            }}
            onChange={sheet => change({ sheet: sheet || null })}
          />
        )}
        {settings.buy && !comesInSheets(group.role) && (
          <LengthField
            whenLeft
            label="Width of the cloth to buy"
            unit={unit}
            division={division}
            range={widths}
            value={settings.width ?? undefined}
            fallback={usual.ok ? usual.length : undefined}
            onChange={width => change({ width: width ?? null })}
          />
        )}
      </div>
    </details>
  )
}

function saySheet({ width, length }: SheetSize, unit: Unit): string {
  const say = (side: Length, bare: boolean) => formatLength(side, unit, { style: 'proper', finest: 8, bare })
  return `${say(width, true)} × ${say(length, false)}`
}

const widths = { min: mm(10), max: mm(10_000) }
