import { scale, subtract, type Length } from '../../length/length.js'
import { layerOf, outerOf } from '../../material/layer.js'
import { pressedThickness } from '../../material/material.js'
import type { Piece } from '../../piece/piece.js'
import { plyPiece } from '../../piece/plies.js'
import { less, times, totalOf, twice, type Reason } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedDown, type Side } from '../../piece/side.js'
import type { Job } from '../contract.js'
import { outerSides, type BothWays } from '../sized.js'
import type { BoardCase } from './case.js'
import type { BoardCoverOptions, ResolvedOptions } from './options.js'

/** Boards, cloth with its turn-ins, and linings that stay clear of the edges. Source: docs/craft.md, Board cover. */
export function cutPieces(
  job: Job<BoardCoverOptions>,
  { boardWidth, boardHeight, spineWidth, gap }: BoardCase,
  options: ResolvedOptions,
): readonly Piece[] {
  const { grid, stack } = job
  const panel = { count: 1, ...outerCut(job, { boardWidth, boardHeight, spineWidth, gap }, options) }
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

type Boards = Pick<BoardCase, 'boardWidth' | 'boardHeight' | 'spineWidth' | 'gap'>

/** The boards on the cloth, and its turn-ins counted from their outer edges; batting under the cloth lets it stand off. */
function outerCut(job: Job<BoardCoverOptions>, boards: Boards, options: ResolvedOptions): BothWays<Side> {
  const covered = coveredBy(job, boards)
  return outerSides(job, {
    computed: {
      width: [...covered.width, ...twice('turn-in', options.turnIn)],
      height: [...covered.height, ...twice('turn-in at head and tail', options.turnInHeadTail)],
    },
  })
}

/** What the cloth goes over before it turns in. */
function coveredBy(
  { stack }: Job<BoardCoverOptions>,
  { boardWidth, boardHeight, spineWidth, gap }: Boards,
): BothWays<readonly Reason[]> {
  const padding = layerOf(stack, 'padding')
  const batting = padding ? twice('batting under the cloth', pressedThickness(padding)) : []
  return {
    width: [
      ...becauseOfCut('two boards', boardWidth, 2),
      ...times(2, 'two gaps', gap),
      ...becauseOfCut('spine board', spineWidth),
      ...batting,
    ],
    height: [...becauseOfCut('height of the boards', boardHeight), ...batting],
  }
}

/** The turn-ins as they come out, from the boards’ outer edges. */
export function turnInsOf(
  job: Job<BoardCoverOptions>,
  made: BoardCase,
  options: ResolvedOptions,
): BothWays<Length> {
  const cut = outerCut(job, made, options)
  const covered = coveredBy(job, made)
  const left = (direction: 'width' | 'height') =>
    scale(subtract(cut[direction].cut, totalOf(covered[direction])), 1 / 2)
  return { width: left('width'), height: left('height') }
}
