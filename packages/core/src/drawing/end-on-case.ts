import type { Section } from '../families/section.js'
import { add, longest, negate, scale, subtract, zero, type Length } from '../length/length.js'
import { rectangle, type Mark } from './drawing.js'
import { leafLines } from './end-on-book.js'

/** A case of boards round its pages: a gap at each side of the spine board lets it fold; the cloth goes round all. */
export function drawClosedCase({ width, thickness, plies, boards }: Section): readonly Mark[] {
  if (!boards) return []
  const { thickness: board, overhang } = boards
  const cloth = longest(add(...plies.map(ply => ply.thickness)), scale(board, 0.08))
  const hinge = scale(boards.gap, Math.SQRT1_2)
  const left = negate(add(hinge, board))
  const right = add(width, overhang)
  const outer = { style: 'edge', fill: 'outer', piece: 'outer' } as const
  const stiff = { style: 'object', fill: 'board', piece: 'board' } as const
  const [top, low] = [negate(board), thickness]
  const wide = subtract(right, left)
  return [
    rectangle([subtract(left, cloth), subtract(top, cloth)], add(wide, scale(cloth, 2)), cloth, outer),
    rectangle([subtract(left, cloth), add(low, board)], add(wide, scale(cloth, 2)), cloth, outer),
    rectangle([subtract(left, cloth), top], cloth, add(thickness, scale(board, 2)), outer),
    ...[top, low].map(y => rectangle([right, y], cloth, board, outer)),
    ...[top, low].map(y => rectangle([zero, y], right, board, stiff)),
    rectangle([left, zero], board, thickness, { ...stiff, piece: 'spine-board' }),
    rectangle([zero, scale(thickness, 0.04)], width, scale(thickness, 0.92), {
      style: 'object',
      fill: 'leaves',
    }),
    ...leafLines(zero, width, [zero, thickness]),
  ]
}

/** How far the case stands out beyond the pages, to each side. */
export function reachOfCase({ boards, plies }: Section): Length {
  if (!boards) return zero
  return add(boards.thickness, boards.gap, boards.overhang, ...plies.map(ply => ply.thickness))
}
