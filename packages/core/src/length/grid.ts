import { add, inches, mm, roundDownTo, roundUpTo, subtract, zero, type Length } from './length.js'
import type { Unit } from './unit.js'

/** What cut sizes are rounded to: a mark that scissors and ruler can follow. */
export const cuttingGrids: readonly Length[] = [
  inches(1 / 16),
  inches(1 / 8),
  inches(1 / 4),
  mm(1),
  mm(2),
  mm(5),
]

export function defaultGrid(unit: Unit): Length {
  return unit === 'in' ? inches(1 / 8) : mm(1)
}

/** A hair over a mark is not worth another step: 0.05 mm is forgiven in both directions. */
const forgiven = mm(0.05)

/** The next mark at or above `length`. A length of nothing or less stays as it is: there is nothing to cut. */
export function roundUpToGrid(length: Length, grid: Length): Length {
  if (length <= zero) return length
  return roundUpTo(subtract(length, forgiven), grid)
}

/** The next mark at or below `length`; may be zero. */
export function roundDownToGrid(length: Length, grid: Length): Length {
  if (length <= zero) return length
  return roundDownTo(add(length, forgiven), grid)
}
