import { findingWhen, type Finding } from '../finding/finding.js'
import { roundDownToGrid } from '../length/grid.js'
import { longest, scale, subtract, zero, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import type { Repair } from '../finding/repair.js'

/** What a check of flaps asks of a job. */
export interface FlapJob {
  readonly unit: Unit
  readonly grid: Length
  readonly foldsBack: boolean
  /** The width of one board; undefined where nobody knows it. */
  readonly board: Length | undefined
  /** How stiff covers get into deep flaps: the inner half of a turned one may stay unsewn. Sewn-on flaps must be shallower. */
  readonly innerHalf?: 'sewn' | 'open'
}

/** The deepest flap a board takes: ⅜ in short of it. */
export function deepestFlap(board: Length, unit: Unit): Length {
  return subtract(board, customary(3 / 8, unit))
}

/** Flaps that reach the hinge, or that stiff covers cannot be slid into. Source: docs/craft.md, Slip-on cover, separate flaps. */
export function checkFlapDepth(job: FlapJob, depth: Length): readonly Finding[] {
  const { board, unit, innerHalf } = job
  if (board === undefined) return []
  const deepest = deepestFlap(board, unit)
  const half = scale(board, 1 / 2)
  const bends = !job.foldsBack && innerHalf !== 'open' && depth > half
  const opens = innerHalf === 'sewn' && depth <= deepest
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
      { depth, deepest: half, opens },
      opens
        ? {
            kind: 'choose-option',
            option: 'innerHalf',
            choice: 'open',
            says: 'Leave the flaps’ inner half open',
          }
        : setFlapDepth(half, job.grid),
    ),
  ]
}

/** Below this nothing is turned through it. */
const leastOpening = 2

/** Whether the flaps leave room to turn the cover through: less than is wanted is a nuisance, less than 2 in a fight. */
export function checkTurningOpening(
  { grid, unit }: { readonly grid: Length; readonly unit: Unit },
  { finished, depth, wanted }: { readonly finished: Length; readonly depth: Length; readonly wanted: Length },
): readonly Finding[] {
  const left = subtract(finished, scale(depth, 2))
  const least = customary(leastOpening, unit)
  const deepest = longest(zero, roundDownToGrid(scale(subtract(finished, wanted), 1 / 2), grid))
  const data = { left, wanted, deepest }
  return [
    ...findingWhen(
      left < wanted && left >= least,
      'opening-small',
      'option:turningOpening',
      data,
      setFlapDepth(deepest, grid),
    ),
    ...findingWhen(
      left < least,
      'opening-too-small',
      'option:turningOpening',
      data,
      setFlapDepth(deepest, grid),
    ),
  ]
}

/** A depth on the grid that is not beyond `deepest`; none where nothing useful is left. */
function setFlapDepth(deepest: Length, grid: Length): Repair | undefined {
  const length = roundDownToGrid(deepest, grid)
  if (length < scale(grid, 4)) return undefined
  return { kind: 'set-option', option: 'flapDepth', name: 'flaps', length }
}
