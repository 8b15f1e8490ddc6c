import { totalWidth } from '../families/strip.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import { absolute, longest, mm, scale, shortest, subtract, zero, type Length } from '../length/length.js'
import type { Plan } from '../plan/plan.js'
import type { Hands } from './hands.js'

/**
 * Where a tool at hand does not reach, found while there is still time to plan otherwise: the punch, the paper cutter, the
 * presser foot. Nothing is said of tools whose reach nobody gave. Source: docs/craft.md, Making.
 */
export function checkReach(plan: Plan, hands: Hands): readonly Finding[] {
  return [...checkPunch(plan, hands), ...checkCutter(plan, hands), ...checkFoot(plan, hands)]
}

function checkPunch({ strip }: Plan, { punchReach, punchSizes }: Hands): readonly Finding[] {
  const holes = strip.holes.filter(({ punched }) => punched)
  const total = totalWidth(strip.panels)
  const farthest = longest(
    zero,
    ...holes.map(({ at: [x, y] }) => shortest(x, subtract(total, x), y, subtract(strip.height, y))),
  )
  const missing = holes.find(
    ({ diameter }) => !(punchSizes ?? [diameter]).some(size => isNear(size, diameter)),
  )
  return [
    ...(punchReach === undefined
      ? []
      : findingWhen(farthest > punchReach, 'punch-too-short', 'tools', {
          hole: farthest,
          reach: punchReach,
        })),
    ...(missing && punchSizes
      ? findingWhen(true, 'no-such-punch', 'tools', {
          hole: missing.diameter,
          ...nearest(punchSizes, missing.diameter),
        })
      : []),
  ]
}

/** Card and cloth give by so much round a hole. */
function isNear(size: Length, wanted: Length): boolean {
  return absolute(subtract(size, wanted)) <= mm(0.5)
}

/** The next larger one, through which the cord goes at least; else the largest there is. */
function nearest(sizes: readonly Length[], wanted: Length): { readonly nearest: Length } {
  const larger = sizes.filter(size => size >= wanted)
  return { nearest: larger.length > 0 ? shortest(...(larger as [Length])) : longest(...(sizes as [Length])) }
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
