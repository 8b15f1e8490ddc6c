import { absolute, longest, subtract, type Length } from '../length/length.js'
import type { FamilyPlan } from './contract.js'

/** How long the turning opening is that the plan leaves in a seam; undefined where nothing is turned through one. */
export function openingOf({ strip }: Pick<FamilyPlan, 'strip'>): Length | undefined {
  const line = strip.lines.find(({ kind }) => kind === 'opening')
  if (!line) return undefined
  const along = ([one, other]: readonly [Length, Length]) => absolute(subtract(one, other))
  return longest(along([line.from[0], line.to[0]]), along([line.from[1], line.to[1]]))
}
