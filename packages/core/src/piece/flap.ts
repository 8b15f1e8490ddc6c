import { scale, subtract, zero, type Length } from '../length/length.js'
import type { Piece } from './piece.js'
import { because, twice, type Reason } from './reason.js'
import { becauseOfCut, sideRoundedUp, type Side } from './side.js'

/** A flap sewn on: one piece of outer cloth folded double, or outer cloth faced with lining. */
export type FlapStyle = 'folded' | 'faced'

export interface FlapCutting {
  readonly style: FlapStyle
  readonly depth: Length
  readonly seam: Length
  readonly grid: Length
}

/** Two flaps as high as the outer is cut: 2·(depth + seam) folded, depth + 2·seam faced. Source: docs/craft.md, Slip-on cover, separate flaps. */
export function flapPieces({ style, depth, seam, grid }: FlapCutting, outerHeight: Side): readonly Piece[] {
  const height = sideRoundedUp(becauseOfCut('outer’s cut height', outerHeight), grid)
  const flap = (id: string, role: 'outer' | 'lining', reasons: readonly Reason[]): Piece => {
    return { id, role, part: 'flap', count: 2, width: sideRoundedUp(reasons, grid), height }
  }
  if (style === 'folded')
    return [flap('flap', 'outer', [...twice('flap depth', depth), ...twice('seam', seam)])]
  const faced = [...because('flap depth', depth), ...twice('seam', seam)]
  return [flap('flap-outer', 'outer', faced), flap('flap-facing', 'lining', faced)]
}

/** How deep a flap comes out when its cut is rounded: what folds back inside the board. */
export function flapAsCut(pieces: readonly Piece[], { style, seam }: FlapCutting): Length {
  const piece = pieces.find(({ part, role }) => part === 'flap' && role === 'outer')
  if (!piece) return zero
  const panel = style === 'folded' ? scale(piece.width.cut, 1 / 2) : piece.width.cut
  return subtract(panel, scale(seam, style === 'folded' ? 1 : 2))
}
