import { scale, subtract, type Length } from '../length/length.js'
import type { Direction } from '../finding/finding.js'
import type { Fit } from './fit.js'

/** How a trial piece went on in one direction: what it measured, and what was over; less than nothing where it lacked. */
export interface Tried {
  readonly finished: Length
  readonly spare: Length
}

export type Trial = Readonly<Partial<Record<Direction, Tried>>>

/**
 * How much more than its readings say the thing needs, by direction and of one part: what the trial piece showed it
 * to need, less what such a piece was reckoned to need. Source: docs/craft.md, Trial piece.
 */
export function toldByTrial(
  trial: Trial,
  { fits }: { readonly fits: readonly Fit[] },
): Partial<Record<Direction, Length>> {
  return Object.fromEntries(
    fits.flatMap(({ direction, needed, parts }) => {
      const tried = trial[direction]
      if (!tried) return []
      const shown = subtract(tried.finished, tried.spare)
      return [[direction, scale(subtract(shown, needed), 1 / parts)]]
    }),
  )
}
