import { scale } from '../../length/length.js'
import { layerOf, outerOf } from '../../material/layer.js'
import { pressedThickness } from '../../material/material.js'
import type { Piece } from '../../piece/piece.js'
import { plyPiece } from '../../piece/plies.js'
import { less, times, twice, type Reason } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedDown, sideRoundedUp } from '../../piece/side.js'
import type { Job } from '../contract.js'
import type { BoardCase } from './case.js'
import type { BoardCoverOptions, ResolvedOptions } from './options.js'

/** Boards, cloth with its turn-ins, and linings that stay clear of the edges. Source: docs/craft.md, Board cover. */
export function cutPieces(
  job: Job<BoardCoverOptions>,
  { thickness, boardWidth, boardHeight, spineWidth, gap }: BoardCase,
  options: ResolvedOptions,
): readonly Piece[] {
  const { grid, stack } = job
  const padding = layerOf(stack, 'padding')
  const edges: readonly Reason[] = [
    ...twice('board’s edge', thickness),
    ...twice('turn-in', options.turnIn),
    ...(padding ? twice('batting under the cloth', pressedThickness(padding)) : []),
  ]
  const panel = {
    count: 1,
    width: sideRoundedUp(
      [
        ...becauseOfCut('two boards', boardWidth, 2),
        ...times(2, 'two gaps', gap),
        ...becauseOfCut('spine board', spineWidth),
        ...edges,
      ],
      grid,
    ),
    height: sideRoundedUp([...becauseOfCut('height of the boards', boardHeight), ...edges], grid),
  }
  const margins = less('clear of the edges, twice', scale(options.liningMargin, 2))
  const liningHeight = sideRoundedDown(
    [...becauseOfCut('height of the boards', boardHeight), ...margins],
    grid,
  )
  const sheet = (id: string, count: number, reasons: readonly Reason[]): Piece => {
    return { id, role: 'card', count, width: sideRoundedDown(reasons, grid), height: liningHeight }
  }
  return [
    { id: 'board', role: 'board', count: 2 * options.sheets, width: boardWidth, height: boardHeight },
    { id: 'spine-board', role: 'board', count: options.sheets, width: spineWidth, height: boardHeight },
    plyPiece(job, outerOf(stack), panel),
    ...(options.underlining ? [{ id: 'underlining', role: 'underlining', ...panel } as const] : []),
    sheet('lining', 2, [...becauseOfCut('width of a board', boardWidth), ...margins]),
    sheet('spine-lining', 1, [
      ...becauseOfCut('spine board', spineWidth),
      ...times(2, 'two gaps', gap),
      ...twice('over each board', options.spineLiningOverlap),
    ]),
  ]
}
