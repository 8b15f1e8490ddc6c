import type { CautionId, Step } from './step.js'

/**
 * When a step on a single layer has its turn: each piece goes through these in this order before it is joined. `first` is
 * patching and fusing, `quilt` from marking to melting the marks away, `trim` to size, `shape` what is cut from, or measured
 * off, the size that it then has, `dress` all that is sewn on it, `edge` what is stitched round it when all that is done.
 */
export const stages = ['first', 'quilt', 'trim', 'shape', 'dress', 'edge'] as const
export type Stage = (typeof stages)[number]

/** Where a step stands among those that others are fitted to. */
export type Turn =
  /** Closes a seam in which ties, loops and tabs lie: they are held in place before it. */
  | 'catches'
  /** Sets the edges at which things are held where no seam catches them: they come after it. */
  | 'folds'
  /** Looks at sides and directions once what is caught lies in place, before the seam that catches it. */
  | 'looks'
  /** The last of the cover itself: hardware comes after. */
  | 'last'

/** A step as a way of making or an extra writes it; one place puts them in order. */
export interface Draft extends Pick<Step, 'id' | 'kind' | 'place' | 'minutes' | 'name' | 'does' | 'why'> {
  readonly pieces?: readonly string[]
  readonly notions?: readonly string[]
  readonly face?: Step['face']
  readonly tools?: readonly string[]
  readonly wait?: number
  readonly within?: number
  readonly needs?: readonly string[]
  readonly check?: Step['check']
  readonly gate?: true
  readonly cautions?: readonly CautionId[]
  readonly joining?: string
  readonly measures?: Step['measures']
  /** The piece that is still a single layer when this is done to it, and when; without it, pieces are joined here. */
  readonly on?: { readonly piece: string; readonly stage: Stage }
  readonly turn?: Turn | readonly Turn[]
  /** Held by the seam that catches it, or by the edge that covers it; or fastened when the cover is closed. */
  readonly goes?: 'into-the-seam' | 'to-the-edge' | 'after-the-last'
  /** How much is stitched, in millimetres: by hand it takes longer. */
  readonly stitchedMm?: number
}

/** Whether a step stands there. */
export function turnsAt({ turn }: { readonly turn?: Draft['turn'] | undefined }, at: Turn): boolean {
  return typeof turn === 'string' ? turn === at : (turn?.includes(at) ?? false)
}
