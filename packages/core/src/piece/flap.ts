import { add, scale, subtract, zero, type Length } from '../length/length.js'
import type { Piece, PieceCorner } from './piece.js'
import { because, twice, type Reason } from './reason.js'
import { becauseOfCut, sideRoundedUp, type Side } from './side.js'

/** A flap sewn on: one piece of outer cloth folded double, or outer cloth faced with lining. */
export type FlapStyle = 'folded' | 'faced'

export interface FlapCutting {
  readonly style: FlapStyle
  readonly depth: Length
  readonly seam: Length
  readonly grid: Length
  /** The radius of its outer corners, finished; square unless said. */
  readonly round?: Length
}

/** Two flaps as high as the outer is cut: 2·(depth + seam) folded, depth + 2·seam faced. Source: docs/craft.md, Slip-on cover, separate flaps. */
export function flapPieces(
  { style, depth, seam, grid, round }: FlapCutting,
  outerHeight: Side,
): readonly Piece[] {
  const height = sideRoundedUp(becauseOfCut('outer’s cut height', outerHeight), grid)
  const corners = round === undefined ? undefined : outerCorners(style, add(round, seam))
  const flap = (id: string, role: 'outer' | 'lining', reasons: readonly Reason[]): Piece => ({
    id,
    role,
    part: 'flap',
    count: 2,
    width: sideRoundedUp(reasons, grid),
    height,
    ...(corners && { corners }),
  })
  if (style === 'folded')
    return [flap('flap', 'outer', [...twice('flap depth', depth), ...twice('seam', seam)])]
  const faced = [...because('flap depth', depth), ...twice('seam', seam)]
  return [flap('flap-outer', 'outer', faced), flap('flap-facing', 'lining', faced)]
}

/** Folded double, both its long edges lie at the outer’s; faced, the left one does. */
function outerCorners(style: FlapStyle, radius: Length): readonly PieceCorner[] {
  const places = style === 'folded' ? ([0, 1, 2, 3] as const) : ([0, 3] as const)
  return places.map(place => ({ place, along: radius, across: radius, round: true }))
}

/** How deep a flap comes out when its cut is rounded: what folds back inside the board. */
export function flapAsCut(pieces: readonly Piece[], { style, seam }: FlapCutting): Length {
  const piece = pieces.find(({ part, role }) => part === 'flap' && role === 'outer')
  if (!piece) return zero
  const panel = style === 'folded' ? scale(piece.width.cut, 1 / 2) : piece.width.cut
  return subtract(panel, scale(seam, style === 'folded' ? 1 : 2))
}
