import type { Piece } from '../../piece/piece.js'
import { flapPieces, type FlapCutting } from '../../piece/flap.js'
import { insetPieces, outerAndLining } from '../../piece/plies.js'
import type { Job } from '../contract.js'
import type { ResolvedOptions, SlipCoverOptions } from './options.js'
import type { Body } from './size.js'

/** Every piece of the cover, body first. Source: docs/craft.md, Slip-on cover, separate flaps. */
export function cutPieces(
  job: Job<SlipCoverOptions>,
  { width, height }: Body,
  options: ResolvedOptions,
): readonly Piece[] {
  const body = { width, height, count: 1 }
  return [
    ...outerAndLining(job, body),
    ...insetPieces(job, body, ['interfacing', 'padding']),
    ...flapPieces(flapCutting(job, options), height),
  ]
}

export function flapCutting(
  { seam, grid }: Job<SlipCoverOptions>,
  { flapStyle, flapDepth }: ResolvedOptions,
): FlapCutting {
  return { style: flapStyle, depth: flapDepth, seam, grid }
}
