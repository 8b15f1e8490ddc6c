import type { SayLength } from '../finding/say.js'
import { add, longest, scale, zero } from '../length/length.js'
import type { Piece } from '../piece/piece.js'
import { drawHeight, drawWidth } from './dimension.js'
import { line, rectangle, text, type Drawing } from './drawing.js'
import { fillOf } from './ply-fill.js'

/** One piece as it is cut, with its sizes and an arrow to its top. */
export function drawPiece({ id, role, width, height }: Piece, say: SayLength): Drawing {
  const unit = scale(longest(width.cut, height.cut), 1 / 40)
  const middle = scale(width.cut, 1 / 2)
  const below = add(height.cut, scale(unit, 2.5))
  const right = add(width.cut, scale(unit, 2.5))
  const arrowFoot = scale(height.cut, 0.8)
  return {
    title: `The piece ${id}`,
    from: [scale(unit, -1), scale(unit, -1)],
    width: add(width.cut, scale(unit, 8)),
    height: add(height.cut, scale(unit, 8)),
    marks: [
      rectangle([zero, zero], width.cut, height.cut, { style: 'cut', fill: fillOf(role), piece: id }),
      line([middle, arrowFoot], [middle, scale(height.cut, 0.2)], 'hint', 'end'),
      text([add(middle, scale(unit, 1.5)), scale(height.cut, 0.5)], 'top', { align: 'start' }),
      ...drawWidth([zero, below], [width.cut, below], say(width.cut), scale(unit, 0.8)),
      ...drawHeight([right, zero], [right, height.cut], say(height.cut), scale(unit, 0.8)),
    ],
  }
}
