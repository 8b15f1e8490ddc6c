import { drawMeasureGuide, type ReadingKey } from '@snowdrift/core'
import { useMemo } from 'react'
import { DrawingView } from '../../../views/DrawingView'

/** Where the tape goes for one reading. */
export function MeasureGuide({ reading }: { readonly reading: ReadingKey }) {
  const drawing = useMemo(() => drawMeasureGuide(reading), [reading])
  return (
    <figure className="order-1 self-start sm:sticky sm:top-2 sm:order-2">
      <div className="h-32">
        <DrawingView drawing={drawing} textScale={0.055} />
      </div>
      <figcaption className="text-sm text-soft">Where the tape goes. Not to scale.</figcaption>
    </figure>
  )
}
