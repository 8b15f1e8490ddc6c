import type { PrintWindow } from '../cutting/print-places.js'
import { add, longest, scale, zero, type Length } from '../length/length.js'
import type { Part } from '../nest/cut-order.js'
import { line, rectangle, text, type Drawing, type Mark, type Point } from './drawing.js'
import { drawAvoided, drawMarked, type NamedPart } from './sheet-drawing.js'

/** A piece on its cloth, as it is looked for: what of the cloth shows in it. */
export interface Showing {
  readonly label: string
  readonly piece: { readonly width: Length; readonly height: Length }
  readonly windows: readonly PrintWindow[]
  /** Where the corner of the piece lies on the cloth. */
  readonly at: Point
  readonly cloth: { readonly width: Length; readonly length: Length }
  readonly avoid: readonly Part[]
  readonly marks: readonly NamedPart[]
}

/** So much of the cloth is seen round the piece, as a share of its longer side. */
const around = 0.35

/**
 * The cloth as far as the piece and a little round it, the piece in the middle with its cutting line, its windows and an
 * arrow to its top: whatever moves, the piece stands still in the frame.
 */
export function drawShowing({ label, piece, windows, at, cloth, avoid, marks }: Showing): Drawing {
  const margin = scale(longest(piece.width, piece.height), around)
  const [x, y] = at
  const lengthwise = add(x, scale(margin, 0.15))
  return {
    title: `${label} on its cloth`,
    from: [add(x, scale(margin, -1)), add(y, scale(margin, -1))],
    width: add(piece.width, scale(margin, 2)),
    height: add(piece.height, scale(margin, 2)),
    marks: [
      rectangle([zero, zero], cloth.width, cloth.length, { style: 'edge', fill: 'inside' }),
      ...avoid.flatMap(place => drawAvoided(place, cloth)),
      ...marks.flatMap(drawMarked),
      ...windows.flatMap(window => drawWindow(window, at)),
      rectangle(at, piece.width, piece.height, { style: 'cut' }),
      line(
        [lengthwise, add(y, scale(piece.height, 0.8))],
        [lengthwise, add(y, scale(piece.height, 0.2))],
        'hint',
        'end',
      ),
    ],
  }
}

/** Its edges, and its name at the top, clear of what stands in its middle. */
function drawWindow({ x, y, width, height, name }: PrintWindow, [left, top]: Point): readonly Mark[] {
  const corner: Point = [add(left, x), add(top, y)]
  const isSlim = height > scale(width, 4)
  const words: Point = [
    add(corner[0], scale(width, 1 / 2)),
    add(corner[1], scale(height, isSlim ? 0.25 : 0.06)),
  ]
  return [
    rectangle(corner, width, height, { style: 'fold' }),
    text(words, name, { size: 'small', turned: isSlim }),
  ]
}
