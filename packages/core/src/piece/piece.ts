import { zero, type Length } from '../length/length.js'
import type { Role } from '../material/role.js'
import type { Side } from './side.js'

/** What is cut from cloth, card or board. A strip's width is its length, its height the width of the strip. */
export interface Piece {
  readonly id: string
  readonly role: Role
  /** What of the cover it becomes, where that is a panel of its own. */
  readonly part?: 'flap'
  readonly count: number
  readonly width: Side
  readonly height: Side
  /** Cut oversize on purpose; trimmed to the size of the piece it lies on. */
  readonly trimTo?: TrimTo
  /** Planned here, but best measured off the made thing before it is cut. */
  readonly measureFirst?: boolean
  /** Cut on the bias from a square of this side. */
  readonly blank?: Side
}

export interface TrimTo {
  readonly piece: string
  readonly width: Length
  readonly height: Length
}

/** Whether there is anything left to cut: both sides longer than nothing. */
export function isCuttable(piece: Piece): boolean {
  return piece.width.cut > zero && piece.height.cut > zero
}
