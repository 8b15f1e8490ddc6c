import { findingWhen, type Finding } from '../../finding/finding.js'
import { checkFit } from '../../fit/fit.js'
import { slipOnBands } from '../../fit/verdict.js'
import { roundDownToGrid } from '../../length/grid.js'
import { longest, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { deriveInnerWidth } from '../../object/derive.js'
import type { Job } from '../contract.js'
import type { ResolvedOptions, SlipCoverOptions } from './options.js'
import type { Body } from './size.js'

/** What can go wrong with the cover as planned. Source: docs/craft.md, Slip-on cover. */
export function checkSlipCover(
  job: Job<SlipCoverOptions>,
  body: Body,
  options: ResolvedOptions,
): readonly Finding[] {
  return [
    ...checkFit(body.fitWidth, job.stack, slipOnBands),
    ...checkFit(body.fitHeight, job.stack, slipOnBands),
    ...checkFlaps(job, options),
    ...checkOpening(job, body, options),
  ]
}

function checkFlaps(
  { object, unit, grid }: Job<SlipCoverOptions>,
  { flapDepth: depth }: ResolvedOptions,
): readonly Finding[] {
  const board = deriveInnerWidth(object)
  if (board === undefined) return []
  const deepest = subtract(board, customary(3 / 8, unit))
  const half = scale(board, 1 / 2)
  return [
    ...findingWhen(
      depth > deepest,
      'flap-too-deep',
      'option:flapDepth',
      { depth, deepest },
      setDepth(deepest, grid),
    ),
    ...findingWhen(
      !object.foldsBack && depth > half,
      'will-it-go-in',
      'option:flapDepth',
      { depth, deepest: half },
      setDepth(half, grid),
    ),
  ]
}

function checkOpening(
  { grid }: Job<SlipCoverOptions>,
  { fitWidth }: Body,
  { flapDepth, turningOpening: wanted }: ResolvedOptions,
): readonly Finding[] {
  const left = subtract(fitWidth.finished, scale(flapDepth, 2))
  const deepest = longest(zero, roundDownToGrid(scale(subtract(fitWidth.finished, wanted), 1 / 2), grid))
  return findingWhen(
    left < wanted,
    'opening-too-small',
    'option:turningOpening',
    { left, wanted, deepest },
    setDepth(deepest, grid),
  )
}

/** A depth on the grid that is not beyond `deepest`; none where nothing useful is left. */
function setDepth(deepest: Length, grid: Length) {
  const length = roundDownToGrid(deepest, grid)
  if (length < scale(grid, 4)) return undefined
  return { kind: 'set-option', option: 'flapDepth', name: 'flaps', length } as const
}
