/** How exactly somebody works. Source of the usual numbers: docs/craft.md, Chance of fitting. */
export interface Hand {
  /** Standard deviation of one cut edge. */
  readonly edgeMm: number
  /** Standard deviation of one seam line, or of a fold that is set on the thing. */
  readonly lineMm: number
  /** How much wider than wanted every seam comes out; a wide one makes the cover smaller. */
  readonly seamBiasMm: number
  /** The share, to either side, by which the stack's bulk may be off. */
  readonly stackShare: number
  /** The share, to either side, by which the take-up of quilting may be off. */
  readonly takeUpShare: number
}

export const usualHand: Hand = {
  edgeMm: 0.8,
  lineMm: 0.8,
  seamBiasMm: 0,
  stackShare: 0.15,
  takeUpShare: 1 / 3,
}
