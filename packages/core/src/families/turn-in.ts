import { findingWhen, type Finding, type Subject } from '../finding/finding.js'
import type { Repair } from '../finding/repair.js'
import { add, mm, shortest, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import type { BothWays } from './sized.js'

/** A turn-in of glued cloth, counted from the board’s outer edge, and the board that it goes round first. */
export interface TurnIn {
  /** As it comes out at the fore-edges, and at head and tail. */
  readonly comesOut: BothWays<Length>
  readonly board: Length
  readonly unit: Unit
  /** The option that decides it; by a rule, or on a panel that is cut already, none does. */
  readonly option?: string
}

/** So little behind the edge does not hold. */
const leastInside = mm(2)

/** Turn-ins that are hard to fold, and such as leave nothing inside to hold. Source: docs/craft.md, Board cover. */
export function checkTurnIn({ comesOut, board, unit, option }: TurnIn): readonly Finding[] {
  const turnIn = shortest(comesOut.width, comesOut.height)
  const least = add(board, leastInside)
  const comfortable = customary(3 / 8, unit)
  const about: Subject = option ? `option:${option}` : 'sizing'
  const set = (length: Length): Repair | undefined =>
    option === undefined ? undefined : { kind: 'set-option', option, name: 'turn-in', length }
  const wanted = comfortable > least ? comfortable : add(least, mm(1))
  return [
    ...findingWhen(turnIn < least, 'turn-in-too-small', about, { turnIn, least, board }, set(wanted)),
    ...findingWhen(
      turnIn >= least && turnIn < comfortable,
      'turn-in-tight',
      about,
      { turnIn, comfortable },
      set(comfortable),
    ),
  ]
}
