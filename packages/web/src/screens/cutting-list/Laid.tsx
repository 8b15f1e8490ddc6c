import { drawStrip, sayProperly, type Plan, type Unit } from '@snowdrift/core'
import { useMemo } from 'react'
import { DrawingView } from '../../views/DrawingView'
import { textScaleFor } from '../../views/text-scale'

const laidFrame = { width: 400, height: 176, letter: 11 }

/** The finished cover from outside and from inside, with its sizes. */
export function Laid({ plan, unit }: { readonly plan: Plan; readonly unit: Unit }) {
  const [outside, inside] = useMemo(
    () => (['outside', 'inside'] as const).map(face => drawStrip(plan.strip, sayProperly(unit), { face })),
    [plan, unit],
  )
  if (!outside || !inside) return null
  return (
    <div className="keep-together mt-4 grid gap-6 sm:grid-cols-2 print:grid-cols-2">
      {[outside, inside].map(drawing => (
        <figure key={drawing.title}>
          <div className="h-44">
            <DrawingView drawing={drawing} textScale={textScaleFor(drawing, laidFrame)} />
          </div>
          <figcaption className="text-sm text-soft">{drawing.title}</figcaption>
        </figure>
      ))}
    </div>
  )
}
