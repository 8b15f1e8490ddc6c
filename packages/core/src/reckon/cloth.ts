import { mm, toMm, type Length } from '../length/length.js'
import type { Role } from '../material/role.js'
import type { Piece } from '../piece/piece.js'

/** The area of all pieces of a role together, in square metres: what is cut, waste not counted. */
export function clothArea(pieces: readonly Piece[], role: Role): number {
  return pieces
    .filter(piece => piece.role === role)
    .reduce((sum, { count, width, height }) => sum + (count * toMm(width.cut) * toMm(height.cut)) / 1e6, 0)
}

/** How long that area is on cloth of a width, were nothing wasted. */
export function lengthOnCloth(area: number, clothWidth: Length): Length {
  return mm((area * 1e6) / toMm(clothWidth))
}
