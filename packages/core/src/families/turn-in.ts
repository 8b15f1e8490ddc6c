import { findingWhen, type Finding, type Subject } from '../finding/finding.js'
import type { Repair } from '../finding/repair.js'
import { roundUpToGrid } from '../length/grid.js'
import { add, mm, shortest, subtract, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import type { BothWays } from './sized.js'

/** A turn-in of glued cloth, counted from the board’s outer edge, and the board that it goes round first. */
export interface TurnIn {
  /** As it comes out at the fore-edges, and at head and tail. */
  readonly comesOut: BothWays<Length>
  readonly board: Length
  readonly unit: Unit
  readonly grid: Length
  /** The option that decides the shorter of them, and what it asks for; by a rule, or on a panel that is cut already, none. */
  readonly decidedBy?: { readonly option: string; readonly asked: Length }
}

/** So little behind the edge does not hold. */
const leastInside = mm(2)
/** What the grid takes off is not always to be felt. */
const hair = mm(0.1)

/** Turn-ins that are hard to fold, and such as leave nothing inside to hold. Source: docs/craft.md, Board cover. */
export function checkTurnIn({ comesOut, board, unit, grid, decidedBy }: TurnIn): readonly Finding[] {
  const turnIn = shortest(comesOut.width, comesOut.height)
  const least = add(board, leastInside)
  const comfortable = customary(3 / 8, unit)
  const about: Subject = decidedBy ? `option:${decidedBy.option}` : 'sizing'
  // By whole marks of the grid: what cutting takes off now, it takes off then.
  const set = (wanted: Length): Repair | undefined =>
    decidedBy && {
      kind: 'set-option',
      option: decidedBy.option,
      name: 'turn-in',
      length: add(decidedBy.asked, roundUpToGrid(subtract(wanted, turnIn), grid)),
    }
  const wanted = comfortable > least ? comfortable : add(least, mm(1))
  return [
    ...findingWhen(turnIn < least, 'turn-in-too-small', about, { turnIn, least, board }, set(wanted)),
    ...findingWhen(
      turnIn >= least && turnIn < subtract(comfortable, hair),
      'turn-in-tight',
      about,
      { turnIn, comfortable },
      set(comfortable),
    ),
  ]
}
