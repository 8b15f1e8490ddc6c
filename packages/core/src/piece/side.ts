import { roundDownToGrid, roundUpToGrid } from '../length/grid.js'
import { scale, subtract, type Length } from '../length/length.js'
import { because, totalOf, type Reason } from './reason.js'

/** One side of a piece: why it is as long as it is, exactly how long, and how long it is cut. */
export interface Side {
  readonly reasons: readonly Reason[]
  readonly exact: Length
  readonly cut: Length
}

/** A side that goes round or over something: cut up to the next mark of the grid. */
export function sideRoundedUp(reasons: readonly Reason[], grid: Length): Side {
  const exact = totalOf(reasons)
  return { reasons, exact, cut: roundUpToGrid(exact, grid) }
}

/** A side that must stay inside something: cut down to the mark below. */
export function sideRoundedDown(reasons: readonly Reason[], grid: Length): Side {
  const exact = totalOf(reasons)
  return { reasons, exact, cut: roundDownToGrid(exact, grid) }
}

/** A side that is there already, on the grid or not. */
export function sideAsCut(label: string, length: Length): Side {
  return { reasons: because(label, length), exact: length, cut: length }
}

/** A side as it is cut, as part of another piece's size: its rounding is a reason of its own. */
export function becauseOfCut(label: string, { exact, cut }: Side, count = 1): readonly Reason[] {
  return [
    ...because(label, scale(exact, count)),
    ...because(`${label}: rounded to the grid`, scale(subtract(cut, exact), count)),
  ]
}
