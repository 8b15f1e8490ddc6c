import type { Strip, StripArea, StripPoint } from '../../families/strip.js'
import { scale, subtract, type Length } from '../../length/length.js'
import type { Piece } from '../../piece/piece.js'
import type { Plan } from '../../plan/plan.js'
import type { Point } from '../drawing.js'

/** Where a piece lies on the strip; what lies behind the outer is seen from its own right side: left and right change places. */
export interface Lying {
  readonly area: StripArea
  readonly isBehind: boolean
}

/** Undefined where the strip does not show it as a piece of its own; the plies of a wall lie where the outer does. */
export function lyingOf({ id, width, height, role }: Piece, { strip, pieces }: Plan): Lying | undefined {
  const own = areaOf(strip, id)
  if (own) return { area: centredOver(own, width.cut, height.cut), isBehind: false }
  const outer = pieces.find(piece => piece.id === 'outer')
  const isPly = role === 'lining' || role === 'interfacing' || role === 'padding'
  const isAlike = isPly && outer?.width.cut === width.cut && outer.height.cut === height.cut
  const behind = isAlike ? areaOf(strip, 'outer') : undefined
  return behind && { area: centredOver(behind, width.cut, height.cut), isBehind: true }
}

function areaOf({ cutPieces }: Strip, id: string): StripArea | undefined {
  return cutPieces.find(({ piece }) => piece === id)
}

/** A piece that is cut larger than it shows stands out as far on all sides. */
function centredOver({ at: [x, y], ...area }: StripArea, width: Length, height: Length): StripArea {
  const out = (cut: Length, shown: Length) => scale(subtract(cut, shown), 1 / 2)
  return {
    piece: area.piece,
    at: [subtract(x, out(width, area.width)), subtract(y, out(height, area.height))],
    width,
    height,
  }
}

/** A place on the strip as it lies on the piece, from its top left corner. */
export function onPiece([x, y]: StripPoint, { area, isBehind }: Lying): Point {
  const [left, top] = area.at
  const across = subtract(x, left)
  return [isBehind ? subtract(area.width, across) : across, subtract(y, top)]
}
