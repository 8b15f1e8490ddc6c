import { printOrigins, printPlaces, type CuttingPin, type PrintOrigin } from '@snowdrift/core'
import type { Planned } from '../planned'

const none: readonly PrintOrigin[] = []

/** Where the prints lie that are pinned under pieces of a cover. Nearly no cover has pins: nothing is reckoned for the others. */
export function printOriginsOf(
  coverId: string,
  { cover, plan }: Planned,
  pins: readonly CuttingPin[],
): readonly PrintOrigin[] {
  if (!cover || !plan || pins.length === 0) return none
  return printOrigins({ ...cover, id: coverId, pieces: plan.pieces }, printPlaces(plan), pins)
}
