import type { StripCorner, StripShape } from '../../families/strip.js'
import {
  absolute,
  add,
  mm,
  negate,
  ofTicks,
  scale,
  subtract,
  zero,
  type Length,
} from '../../length/length.js'
import type { Piece, PieceCorner } from '../../piece/piece.js'
import type { Plan } from '../../plan/plan.js'
import { rectangle, type PathMark, type PathStep, type Point } from '../drawing.js'
import { scooped } from '../scooped.js'
import { onPiece, type Lying } from './lying.js'

/**
 * The line to cut along, from the piece's top left corner: its corners rounded or cut off as far outside the finished
 * ones as its edges stand out, and the scoop of a pocket less its seam.
 */
export function cutOutline(piece: Piece, plan: Plan, lying: Lying | undefined): PathMark {
  const [width, height] = [piece.width.cut, piece.height.cut]
  const whole = cornered([zero, zero], width, height, {
    style: 'cut',
    corners: cornersOf(piece, plan, lying),
  })
  const shape = scoopOn(piece, plan)
  return shape
    ? scooped(whole, { at: [zero, zero], width, scoop: cutScoop(shape.scoop, plan.settled.seam) })
    : whole
}

/** The seam all round, its corners turned as the cut line's are. */
export function seamOutline(piece: Piece, plan: Plan, lying: Lying | undefined): PathMark {
  const { seam } = plan.settled
  const less = (side: Length) => subtract(side, scale(seam, 2))
  const whole = cornered([seam, seam], less(piece.width.cut), less(piece.height.cut), {
    style: 'seam',
    corners: cornersOf(piece, plan, lying, seam),
  })
  const shape = scoopOn(piece, plan)
  return shape
    ? scooped(whole, { at: [seam, seam], width: less(piece.width.cut), scoop: shape.scoop })
    : whole
}

type Scooped = StripShape & Required<Pick<StripShape, 'scoop'>>

/** The pocket with a scoop that the piece becomes; both its plies are cut alike. */
function scoopOn({ id }: Piece, { strip }: Plan): Scooped | undefined {
  const outer = id === 'pocket-lining' ? 'pocket-outer' : id
  return strip.shapes.find((shape): shape is Scooped => shape.scoop !== undefined && shape.piece === outer)
}

/** The corners that the piece brings, else those of the strip that are its own; so far inside its cut edges. */
function cornersOf(
  { corners }: Piece,
  { strip }: Plan,
  lying: Lying | undefined,
  inside = zero,
): readonly PieceCorner[] {
  if (corners) return corners.map(corner => ({ ...corner, ...offsetCorner(corner, negate(inside)) }))
  return lying ? cornersOn(strip.corners, lying, inside) : []
}

/** The corners of the strip that are the piece's own, so far inside its edges: they stand out by the same at both sides. */
function cornersOn(corners: readonly StripCorner[], lying: Lying, inside = zero): readonly PieceCorner[] {
  const { width, height } = lying.area
  return corners.flatMap((corner): readonly PieceCorner[] => {
    const [x, y] = onPiece(corner.at, lying)
    const [right, down] = [lying.isBehind ? -corner.towards[0] : corner.towards[0], corner.towards[1]]
    const out = right > 0 ? x : subtract(width, x)
    const up = down > 0 ? y : subtract(height, y)
    if (out < zero || up < zero || absolute(subtract(out, up)) > byRounding) return []
    const place = down > 0 ? (right > 0 ? 0 : 1) : right > 0 ? 3 : 2
    return [{ place, round: corner.round, ...offsetCorner(corner, subtract(out, inside)) }]
  })
}

/** Edges may differ by what rounding to the grid gave one of them. */
const byRounding = mm(5)

/** Round: the radius grows by the offset. Cut off from a to b: a + e·(1 + a/b − √(a² + b²)/b), likewise b. */
function offsetCorner(
  { along, across, round }: Pick<StripCorner, 'along' | 'across' | 'round'>,
  by: Length,
): { readonly along: Length; readonly across: Length } {
  if (round) return { along: add(along, by), across: add(across, by) }
  const slope = Math.hypot(along, across)
  return {
    along: add(along, scale(by, 1 + along / across - slope / across)),
    across: add(across, scale(by, 1 + across / along - slope / along)),
  }
}

function cornered(
  [x, y]: Point,
  width: Length,
  height: Length,
  { style, corners }: { readonly style: 'cut' | 'seam'; readonly corners: readonly PieceCorner[] },
): PathMark {
  const whole = rectangle([x, y], width, height, { style })
  if (corners.length === 0) return whole
  const [right, low] = [add(x, width), add(y, height)]
  const points: readonly Point[] = [
    [x, y],
    [right, y],
    [right, low],
    [x, low],
  ]
  const steps = points.flatMap((at, place): readonly PathStep[] => {
    const corner = corners.find(known => known.place === place)
    return corner ? turn(at, corner) : [{ to: at }]
  })
  const [start, ...rest] = steps
  return { ...whole, start: start?.to ?? [x, y], steps: rest }
}

/** Clockwise round a corner: into it along one edge, out along the next. */
function turn([x, y]: Point, { place, along, across, round }: PieceCorner): readonly PathStep[] {
  const inX = place === 0 || place === 3 ? 1 : -1
  const inY = place < 2 ? 1 : -1
  const onEdge: Point = [add(x, scale(along, inX)), y]
  const onSide: Point = [x, add(y, scale(across, inY))]
  const [first, second] = place === 0 || place === 2 ? [onSide, onEdge] : [onEdge, onSide]
  return [{ to: first }, round ? { to: second, radius: along, clockwise: true } : { to: second }]
}

/** The curve is cut one seam inside the mouth's own: about the same middle, at the height of the cut edge. */
function cutScoop(scoop: Scooped['scoop'], seam: Length): Scooped['scoop'] {
  const half = scoop.width / 2
  const dip = Math.min(scoop.depth, half)
  const radius = (half * half + dip * dip) / (2 * dip)
  const fromMiddle = radius - dip - seam
  const halfCut =
    scoop.depth > half ? half - seam : Math.sqrt(Math.max(0, (radius - seam) ** 2 - fromMiddle ** 2))
  return { width: ofTicks(Math.round(2 * halfCut)), depth: scoop.depth }
}
