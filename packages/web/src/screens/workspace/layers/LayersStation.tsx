import { oneStep } from '../../../drafts/draft'
import { roleWords, type CoverFile, type MaterialRow, type Role, type TypedLayer } from '@snowdrift/core'
import { Plus } from 'lucide-react'
import { useMaterialsQuery } from '../../../api/api'
import { Button } from '../../../parts/Button'
import { Thickness } from '../../../parts/Length'
import { useCover } from '../cover-context'
import { firstLayer } from './layer-from'
import { LayerEditor } from './LayerEditor'

const addable: readonly Role[] = ['lining', 'interfacing', 'padding', 'underlining']
/** What boards are covered with, and lined: there to be chosen where something is cut from it. */
const boards: readonly Role[] = ['board', 'card']
const none: readonly MaterialRow[] = []

/** What the cover is made of, from the thing outwards. */
export function LayersStation() {
  const { file, planned, unit, change } = useCover()
  const { data: materials = none } = useMaterialsQuery()
  const { layers } = file
  const set = (key: string, next: TypedLayer[]) =>
    change(key, (current): CoverFile => ({ ...current, layers: next }))
  const standOff = planned.plan?.standOff
  const { plan } = planned
  const cutRoles = new Set(plan?.pieces.map(({ role }) => role))
  const absent = [...addable, ...boards.filter(role => cutRoles.has(role))].filter(
    role => !layers.some(layer => layer.role === role),
  )
  return (
    <div className="grid gap-5">
      <h2 className="sr-only">Layers</h2>
      <p className="text-soft">
        From the thing outwards; the outer cloth is last.
        {standOff && (
          <>
            {' '}
            Bulk underneath: <Thickness value={standOff.body} />
            {standOff.flap !== undefined && (
              <>
                , flap <Thickness value={standOff.flap} />
              </>
            )}
            .
          </>
        )}
      </p>
      <ol className="grid gap-4">
        {layers.map((layer, index) => (
          <LayerEditor
            key={layer.role}
            layer={layer}
            materials={materials}
            isUnused={plan !== undefined && !cutRoles.has(layer.role)}
            onChange={(field, next) => set(`layer.${layer.role}.${field}`, layers.with(index, next))}
            onRemove={
              layer.role === 'outer'
                ? undefined
                : () =>
                    set(
                      oneStep,
                      layers.filter((_, at) => at !== index),
                    )
            }
            onMoveOut={canMoveOut(layers, index) ? () => set(oneStep, swapped(layers, index)) : undefined}
          />
        ))}
      </ol>
      <div className="flex flex-wrap gap-2">
        {absent.map(role => (
          <Button
            key={role}
            onClick={() =>
              set(oneStep, [...layers.slice(0, -1), firstLayer(role, materials, unit), ...layers.slice(-1)])
            }
          >
            <Plus className="size-4" aria-hidden /> {roleWords[role]}
          </Button>
        ))}
      </div>
    </div>
  )
}

function canMoveOut(layers: readonly TypedLayer[], index: number): boolean {
  return index < layers.length - 2
}

function swapped(layers: readonly TypedLayer[], index: number): TypedLayer[] {
  const [one, next] = [layers[index], layers[index + 1]]
  return one && next ? layers.with(index, next).with(index + 1, one) : [...layers]
}
