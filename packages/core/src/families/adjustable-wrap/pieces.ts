import { customary } from '../../length/unit.js'
import type { Piece } from '../../piece/piece.js'
import { insetPieces, outerAndLining } from '../../piece/plies.js'
import { because } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedUp } from '../../piece/side.js'
import { cutSince, type Job } from '../contract.js'
import type { AdjustableWrapOptions } from './options.js'
import type { Body } from './size.js'

/** The wrap, its lining and interfacing, and two strips for the strap that the free end tucks under. */
export function cutPieces(job: Job<AdjustableWrapOptions>, { width, height }: Body): readonly Piece[] {
  const { unit, grid } = job
  const panel = { width, height, count: 1 }
  return [
    ...outerAndLining(job, panel),
    ...insetPieces(job, panel, ['interfacing', ...cutSince(job, 'padding')]),
    {
      id: 'strap',
      role: 'outer',
      count: 2,
      width: sideRoundedUp(
        [...becauseOfCut('outer’s cut height', height), ...because('to square up', customary(1 / 2, unit))],
        grid,
      ),
      height: sideRoundedUp(because('long edges folded to the middle', customary(3, unit)), grid),
      measureFirst: true,
    },
  ]
}
