import { customary } from '../../length/unit.js'
import { layerOf, outerOf, pliesOf } from '../../material/layer.js'
import type { Piece } from '../../piece/piece.js'
import { insetPieces, outerAndLining, plyPiece } from '../../piece/plies.js'
import { because, less } from '../../piece/reason.js'
import { scale } from '../../length/length.js'
import { becauseOfCut, sideRoundedDown } from '../../piece/side.js'
import { cutSince, type Job } from '../contract.js'
import type { ResolvedOptions, TurnedFlapOptions } from './options.js'
import type { Body } from './size.js'

/** The strip, its lining and interfacing; padding on the body only. A single layer is the outer alone. */
export function cutPieces(
  job: Job<TurnedFlapOptions>,
  body: Body,
  { construction }: ResolvedOptions,
): readonly Piece[] {
  const { width, height } = body
  const panel = { width, height, count: 1 }
  if (construction === 'single')
    return [
      plyPiece(job, outerOf(job.stack), panel),
      ...insetPieces(withBackingShort(job), panel, cutSince(job, 'interfacing', 'padding')),
    ]
  return [
    ...outerAndLining(job, panel),
    ...insetPieces(job, panel, ['interfacing']),
    ...paddingPiece(job, body),
  ]
}

/** Behind a single layer an interfacing ends ⅛ in short of every edge, unless more is said, and is fused first. */
function withBackingShort(job: Job<TurnedFlapOptions>): Job<TurnedFlapOptions> {
  const short = customary(1 / 8, job.unit)
  const stack = job.stack.map(layer =>
    layer.role === 'interfacing' && layer.inset < short ? { ...layer, inset: short } : layer,
  )
  return { ...job, stack }
}

/** Ends ⅛ in short of each flap fold, so that the fold stays thin. */
function paddingPiece(job: Job<TurnedFlapOptions>, { fitWidth, height }: Body): readonly Piece[] {
  const padding = layerOf(job.stack, 'padding')
  const count = padding ? pliesOf(padding, job.stack) : 0
  if (!padding || count === 0) return []
  const short = customary(1 / 8, job.unit)
  const width = sideRoundedDown(
    [
      ...because('body, fold to fold', fitWidth.finished),
      ...less('short of each fold, twice', scale(short, 2)),
    ],
    job.grid,
  )
  const high = sideRoundedDown(
    [...becauseOfCut('outer’s cut height', height), ...less('inset, twice', scale(padding.inset, 2))],
    job.grid,
  )
  return [plyPiece(job, padding, { width, height: high, count })]
}
