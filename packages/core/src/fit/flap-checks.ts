import { findingWhen, type Finding } from '../finding/finding.js'
import { roundDownToGrid } from '../length/grid.js'
import { longest, scale, subtract, zero, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import { deriveInnerWidth } from '../object/derive.js'
import type { CoveredObject } from '../object/reading.js'
import type { Repair } from '../finding/repair.js'

/** What a check of flaps asks of a job. */
export interface FlapJob {
  readonly object: CoveredObject
  readonly unit: Unit
  readonly grid: Length
}

/** The deepest flap a board takes: ⅜ in short of it. Undefined where nobody knows the board's width. */
export function deepestFlap({ object, unit }: FlapJob): Length | undefined {
  const board = deriveInnerWidth(object)
  return board === undefined ? undefined : subtract(board, customary(3 / 8, unit))
}

/** Flaps that reach the hinge, or that stiff covers cannot be slid into. Source: docs/craft.md, Slip-on cover, separate flaps. */
export function checkFlapDepth(job: FlapJob, depth: Length): readonly Finding[] {
  const deepest = deepestFlap(job)
  const board = deriveInnerWidth(job.object)
  if (deepest === undefined || board === undefined) return []
  const half = scale(board, 1 / 2)
  const bends = !job.object.foldsBack && depth > half
  return [
    ...findingWhen(
      depth > deepest,
      'flap-too-deep',
      'option:flapDepth',
      { depth, deepest },
      setFlapDepth(deepest, job.grid),
    ),
    ...findingWhen(
      bends,
      'will-it-go-in',
      'option:flapDepth',
      { depth, deepest: half },
      setFlapDepth(half, job.grid),
    ),
  ]
}

/** Whether the flaps leave room to turn the cover through. */
export function checkTurningOpening(
  grid: Length,
  { finished, depth, wanted }: { readonly finished: Length; readonly depth: Length; readonly wanted: Length },
): readonly Finding[] {
  const left = subtract(finished, scale(depth, 2))
  const deepest = longest(zero, roundDownToGrid(scale(subtract(finished, wanted), 1 / 2), grid))
  return findingWhen(
    left < wanted,
    'opening-too-small',
    'option:turningOpening',
    { left, wanted, deepest },
    setFlapDepth(deepest, grid),
  )
}

/** A depth on the grid that is not beyond `deepest`; none where nothing useful is left. */
function setFlapDepth(deepest: Length, grid: Length): Repair | undefined {
  const length = roundDownToGrid(deepest, grid)
  if (length < scale(grid, 4)) return undefined
  return { kind: 'set-option', option: 'flapDepth', name: 'flaps', length }
}
