import { zero, type Length } from '../length/length.js'

/** By how many hands’ turns a finished size comes about: each of them errs a little. Source: docs/craft.md, Chance of fitting. */
export interface Making {
  readonly cutEdges: number
  readonly seamLines: number
  /** Folds that are set on the thing itself. */
  readonly foldLines: number
  /** What quilting takes of the size where nobody trims it afterwards. */
  readonly takenUp: Length
}

/** Cut at both edges and sewn along both: what most sizes are. */
export const sewnAtBothEdges: Making = { cutEdges: 2, seamLines: 2, foldLines: 0, takenUp: zero }
