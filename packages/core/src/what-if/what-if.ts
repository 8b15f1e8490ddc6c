import type { Cover } from '../file/cover.js'
import type { Direction } from '../finding/finding.js'
import type { Fit } from '../fit/fit.js'
import type { Length } from '../length/length.js'
import type { Plan } from '../plan/plan.js'

/** What goes otherwise than planned, again and again. Source: docs/craft.md, What if. */
export const whatIfIds = [
  'cut-short',
  'wide-seam',
  'high-loft',
  'forgot-spine',
  'swapped-sides',
  'dust-jacket',
  'washed',
  'untrimmed',
] as const
export type WhatIfId = (typeof whatIfIds)[number]

/** A cover, and how it is planned. */
export interface Planned {
  readonly cover: Cover
  readonly plan: Plan
}

/** One thing that goes otherwise than planned. */
export interface WhatIf {
  readonly id: WhatIfId
  readonly name: string
  /** What happens, with its amount, in one sentence. */
  readonly happens: (planned: Planned, say: (length: Length) => string) => string
  /** Why it cannot happen to this cover, in words; undefined where it can. */
  readonly cannot: (planned: Planned) => string | undefined
  /** The cover as it should have been planned for what is really there; left out where the plan was right. */
  readonly really?: (cover: Cover) => Cover
  /** The cover as it was cut by mistake. */
  readonly mistaken?: (cover: Cover) => Cover
  /** What a slip of the shears takes of a size. */
  readonly cutsOff?: (fit: Fit, planned: Planned) => Length
  /** It takes so much of every piece, whatever it is; left out where only what lies round the thing is cut short. */
  readonly everyPiece?: (planned: Planned) => Length
  /** What becomes of a finished size beside that. */
  readonly finishes?: (finished: Length, fit: Fit, planned: Planned) => Length
  /** What quilting takes of the size, where it is left to chance. */
  readonly takesUp?: (fit: Fit, planned: Planned) => Length
  /** How each piece would have to be cut to allow for it; left out where the plan only has to be followed. */
  readonly allowed?: (cover: Cover, planned: Planned) => Cover
}

export function fitIn({ fits }: Plan, direction: Direction): Fit | undefined {
  return fits.find(fit => fit.direction === direction)
}
