import { drawStrip, sayProperly, toMm, type Plan, type Unit } from '@snowdrift/core'
import { useMemo } from 'react'
import { DrawingView } from '../../../views/DrawingView'

interface SmallStripProps {
  readonly plan: Plan
  readonly unit: Unit
  /** Pixels a millimetre: pictures that stand together share one scale. */
  readonly scale: number
  readonly label: string
}

/** The cover laid flat, small, without words, to the scale of its neighbours. */
export function SmallStrip({ plan, unit, scale, label }: SmallStripProps) {
  const drawing = useMemo(() => drawStrip(plan.strip, sayProperly(unit), { plain: true }), [plan, unit])
  return (
    <div style={{ width: toMm(drawing.width) * scale, height: toMm(drawing.height) * scale }}>
      <DrawingView drawing={drawing} label={label} />
    </div>
  )
}

/** The scale at which the largest of several strips is `most` pixels wide. */
export function sharedScale(plans: readonly Plan[], unit: Unit, most: number): number {
  const sizes = plans.map(plan => {
    const { width, height } = drawStrip(plan.strip, sayProperly(unit), { plain: true })
    return Math.max(toMm(width), toMm(height) * 1.4)
  })
  return most / Math.max(1, ...sizes)
}
