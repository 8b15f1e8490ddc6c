import type { Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'

/** A left-over that is narrower than that is a scrap: 2 in or 50 mm. */
export function smallestLeftOver(unit: Unit): Length {
  return customary(2, unit)
}
