import {
  namePiece,
  applyRepair,
  findExtra,
  findFamily,
  listOptionFields,
  type CoverFile,
  type Plan,
  type TypedExtra,
} from '@snowdrift/core'
import { X } from 'lucide-react'
import { oneStep } from '../../../drafts/draft'
import { Amounts } from '../../../parts/Amounts'
import { IconButton } from '../../../parts/IconButton'
import { FindingNote } from '../../../parts/FindingNote'
import { OptionFields } from '../../../parts/OptionFields'
import { findingsAbout, useCover } from '../cover-context'
import { useEffects } from '../use-effects'
import { placeInFile } from '../picture/place-in-file'
import { splitPlaceFields } from './place-fields'
import { PlacePicture } from './PlacePicture'

interface ExtraCardProps {
  readonly index: number
  readonly typed: TypedExtra
  readonly onChange: (key: string, next: TypedExtra) => void
  readonly onRemove: () => void
}

/** One thing added: what it says of itself, its findings, its place, its options. */
export function ExtraCard({ index, typed, onChange, onRemove }: ExtraCardProps) {
  const { file, planned, unit, division, change } = useCover()
  const effects = useEffects()
  const extra = findExtra(typed.type)
  if (!extra) return null
  const { type: _type, ...values } = typed
  const placed = planned.plan?.placed.find(entry => entry.extra === index)
  const fields = listOptionFields(extra.options(unit))
  const { own, place } = splitPlaceFields(extra, typed, findFamily(file.family)?.traits ?? [], fields)
  const having = (key: string, value: unknown) => {
    const { [key]: _before, ...others } = typed
    return (value === undefined ? others : { ...others, [key]: value }) as TypedExtra
  }
  const set = (key: string, value: unknown) => onChange(`extra.${index}.${key}`, having(key, value))
  const form = (shown: typeof fields) => (
    <OptionFields
      fields={shown}
      values={values}
      settled={placed ? { ...placed } : {}}
      unit={unit}
      division={division}
      choices={{ on: carriersOf(planned.plan) }}
      onChange={set}
      effectOf={(key, value) => effects(current => withExtra(current, index, having(key, value)))}
    />
  )
  return (
    <div className="grid gap-4 rounded-md border border-rule bg-surface p-3" data-extra={typed.type}>
      <div className="flex items-start gap-3">
        <div className="flex-1">
          <p className="font-medium">{extra.words.name}</p>
          <p className="text-sm text-soft">
            <Amounts words={extra.words.summary} unit={unit} />
          </p>
        </div>
        <IconButton icon={X} label={`Take off: ${extra.words.name.toLowerCase()}`} onClick={onRemove} />
      </div>
      {findingsAbout(planned, `extra:${index}`).map(finding => (
        <FindingNote
          key={finding.code}
          finding={finding}
          unit={unit}
          onRepair={repair => change(oneStep, current => applyRepair(current, repair))}
        />
      ))}
      <PlacePicture
        name={extra.words.name}
        index={index}
        onPlace={(carried, key) =>
          placed && change(`extra.${index}.${key}`, current => placeInFile(current, placed, carried, unit))
        }
      />
      {form(own)}
      {place.length > 0 && (
        <details>
          <summary className="text-soft">Its exact place</summary>
          <div className="mt-3 grid gap-4">{form(place)}</div>
        </details>
      )}
    </div>
  )
}

function withExtra(file: CoverFile, index: number, extra: TypedExtra): CoverFile {
  return { ...file, extras: (file.extras ?? []).map((entry, at) => (at === index ? extra : entry)) }
}

/** The panels and the pieces that something can be sewn to: all that the way of making brings. */
function carriersOf(plan: Plan | undefined): Readonly<Record<string, string>> {
  if (!plan) return { '': 'where it usually sits' }
  const panels = plan.strip.panels.filter(({ kind }) => kind !== 'gap' && kind !== 'fore-edge')
  const pieces = plan.pieces.filter(({ id }) => !(id in plan.extraPieces))
  return {
    '': 'where it usually sits',
    ...Object.fromEntries(pieces.map(({ id }) => [id, `the piece ${namePiece(id)}`])),
    ...Object.fromEntries(panels.map(({ id, name }) => [id, name])),
  }
}
