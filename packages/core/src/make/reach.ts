import { totalWidth } from '../families/strip.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import { longest, scale, shortest, subtract, zero, type Length } from '../length/length.js'
import type { Plan } from '../plan/plan.js'
import type { Hands } from './hands.js'

/**
 * Where a tool at hand does not reach, found while there is still time to plan otherwise: the punch, the paper cutter, the
 * presser foot. Nothing is said of tools whose reach nobody gave. Source: docs/craft.md, Making.
 */
export function checkReach(plan: Plan, hands: Hands): readonly Finding[] {
  return [...checkPunch(plan, hands), ...checkCutter(plan, hands), ...checkFoot(plan, hands)]
}

function checkPunch({ strip }: Plan, { punchReach }: Hands): readonly Finding[] {
  if (punchReach === undefined || strip.holes.length === 0) return []
  const total = totalWidth(strip.panels)
  const farthest = longest(
    zero,
    ...strip.holes.map(({ at: [x, y] }) => shortest(x, subtract(total, x), y, subtract(strip.height, y))),
  )
  return findingWhen(farthest > punchReach, 'punch-too-short', 'tools', { hole: farthest, reach: punchReach })
}

function checkCutter({ section, pieces }: Plan, { cutsBoard }: Hands): readonly Finding[] {
  const boards = pieces.find(({ role }) => role === 'board')
  if (cutsBoard === undefined || !boards || !section.boards) return []
  const sheet = sheetOf(section.boards.thickness, boards.count)
  return findingWhen(sheet > cutsBoard, 'board-too-thick', 'tools', { board: sheet, most: cutsBoard })
}

/** Boards are cut sheet by sheet: two of each for a case. */
function sheetOf(thickness: Length, count: number): Length {
  return scale(thickness, 1 / Math.max(1, count / 2))
}

function checkFoot({ seams }: Plan, { footLift, machine }: Hands): readonly Finding[] {
  const [thickest] = seams.toSorted((one, other) => other.thickness - one.thickness)
  if (footLift === undefined || !machine || !thickest) return []
  const { name, thickness } = thickest
  return findingWhen(thickness > footLift, 'too-thick-for-foot', 'tools', {
    seam: name,
    thickness,
    most: footLift,
  })
}
