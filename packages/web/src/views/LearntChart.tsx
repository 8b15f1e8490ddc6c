import ApexCharts, { type ApexOptions } from 'apexcharts'
import { useEffect, useRef } from 'react'
import { drawInTurn } from './draw-in-turn'

/** A chart of the log; the words beside it say the same. */
export default function LearntChart({ options }: { readonly options: ApexOptions }) {
  const place = useRef<HTMLDivElement>(null)
  const drawn = useRef<ApexCharts | null>(null)
  useEffect(
    () =>
      drawInTurn(() => {
        drawn.current?.destroy()
        drawn.current = new ApexCharts(place.current, options)
        void drawn.current.render()
      }),
    [options],
  )
  useEffect(
    () => () => {
      drawn.current?.destroy()
      drawn.current = null
    },
    [],
  )
  return <div ref={place} className="h-full contain-strict" />
}
