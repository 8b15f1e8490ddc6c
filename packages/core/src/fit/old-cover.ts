import type { Direction } from '../finding/finding.js'
import type { Length } from '../length/length.js'

/** One size of an old cover that fits, seam line to seam line, and how much room it leaves as the maker likes it. */
export interface OldSize {
  readonly finished: Length
  readonly ease: Length
}

/** An old cover, measured instead of the thing that it fits; a direction that was not measured is absent. */
export type OldCover = Readonly<Partial<Record<Direction, OldSize>>>
