import { useEffect, useState } from 'react'
import type { RoundDrawing } from './can-draw'

const restMs = 900
/** Without a card every pixel costs: while something moves there are a sixth of them. */
const coarse = 0.4
/** Edges are smooth once nothing moves. */
const fine = 1.5

/** How many pixels are drawn for one of the page, as the least and the most. */
export function useResolution(time: number, drawing: RoundDrawing): number | [number, number] {
  const [rested, setRested] = useState(time)
  useEffect(() => {
    if (drawing === 'card') return
    const timer = setTimeout(() => setRested(time), restMs)
    return () => clearTimeout(timer)
  }, [time, drawing])
  if (drawing === 'card') return [1, 2]
  return rested === time ? fine : coarse
}
