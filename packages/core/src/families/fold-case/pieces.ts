import { largestReading } from '../../object/reading.js'
import { zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { Notion } from '../../piece/notion.js'
import type { Piece } from '../../piece/piece.js'
import { insetPieces, outerAndLining } from '../../piece/plies.js'
import { because } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedUp } from '../../piece/side.js'
import type { Job } from '../contract.js'
import type { FoldCaseOptions, ResolvedOptions } from './options.js'
import type { Body } from './size.js'

/** The case, the faced pocket inside, the zip pocket outside. Source: docs/craft.md, Fold-over case. */
export function cutPieces(
  job: Job<FoldCaseOptions>,
  { width, length }: Body,
  { pocketExtra, zipPocket }: ResolvedOptions,
): readonly Piece[] {
  const { grid, unit, object } = job
  const panel = { width, height: length, count: 1 }
  const across = sideRoundedUp(becauseOfCut('outer’s cut width', width), grid)
  const strip = (id: string, inches: number): Piece => {
    return {
      id,
      role: 'outer',
      count: 2,
      width: across,
      height: sideRoundedUp(because('as usual', customary(inches, unit)), grid),
    }
  }
  return [
    ...outerAndLining(job, panel),
    ...insetPieces(job, panel, ['padding']),
    {
      id: 'pocket',
      role: 'lining',
      count: 2,
      width: across,
      height: sideRoundedUp(
        [
          ...because('height of the device', largestReading(object, 'height') ?? zero),
          ...because('higher than the device', pocketExtra),
        ],
        grid,
      ),
    },
    ...(zipPocket ? [strip('zip-pocket-low', 4), strip('zip-pocket-high', 2)] : []),
  ]
}

/** The zip, and the ribbons that cover its raw edges. */
export function notionsFor(
  { grid, unit }: Job<FoldCaseOptions>,
  { width }: Body,
  { zipPocket }: ResolvedOptions,
): readonly Notion[] {
  if (!zipPocket) return []
  const across = becauseOfCut('outer’s cut width', width)
  return [
    {
      id: 'zip',
      kind: 'zip',
      count: 1,
      length: sideRoundedUp(
        [...across, ...because('longer than the case is wide', customary(2, unit))],
        grid,
      ),
      measureFirst: false,
    },
    { id: 'zip-ribbon', kind: 'ribbon', count: 2, length: sideRoundedUp(across, grid), measureFirst: false },
  ]
}
