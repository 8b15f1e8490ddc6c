import { roundDownToGrid, roundUpToGrid } from '../length/grid.js'
import type { Length } from '../length/length.js'
import { totalOf, type Reason } from './reason.js'

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
