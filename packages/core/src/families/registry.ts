import type { Family } from './contract.js'
import { slipCover } from './slip-cover/index.js'

/** Every way of making, in the order in which they are offered. The only place that names them. */
export const families: readonly Family[] = [slipCover]

export function findFamily(id: string): Family | undefined {
  return families.find(family => family.id === id)
}
