import { drawStrip, sayProperly, toMm, type Drawing, type Plan } from '@snowdrift/core'
import { DrawingView } from '../../../views/DrawingView'

interface SmallStripProps {
  readonly plan: Plan
  /** Pixels a millimetre: pictures that stand together share one scale. */
  readonly scale: number
  readonly label: string
}

/** The cover laid flat, small, without words, to the scale of its neighbours. */
export function SmallStrip({ plan, scale, label }: SmallStripProps) {
  const drawing = plainStripOf(plan)
  return (
    <div style={{ width: toMm(drawing.width) * scale, height: toMm(drawing.height) * scale }}>
      <DrawingView drawing={drawing} label={label} />
    </div>
  )
}

/** The scale at which the largest of several strips is `most` pixels wide. */
export function sharedScale(plans: readonly Plan[], most: number): number {
  const sizes = plans.map(plainStripOf).map(({ width, height }) => Math.max(toMm(width), toMm(height) * 1.4))
  return most / Math.max(1, ...sizes)
}

const drawn = new WeakMap<Plan, Drawing>()

/** A plan is drawn once, to be measured against its neighbours and to be shown; without words it has no unit. */
function plainStripOf(plan: Plan): Drawing {
  const known = drawn.get(plan) ?? drawStrip(plan.strip, sayProperly('mm'), { plain: true })
  drawn.set(plan, known)
  return known
}
