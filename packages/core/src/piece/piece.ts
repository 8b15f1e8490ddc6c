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
  /** Corners that are not square, where the laid-out cover does not show them. */
  readonly corners?: readonly PieceCorner[]
  /** Lines of its own, where the laid-out cover does not show them. */
  readonly creases?: readonly PieceCrease[]
}

/** A corner as it is cut: rounded (along and across are its radius), or cut off. */
export interface PieceCorner {
  /** Which corner of the piece, clockwise from the top left. */
  readonly place: 0 | 1 | 2 | 3
  readonly along: Length
  readonly across: Length
  readonly round: boolean
}

/** A line to fold or stitch along; places are counted from the top left corner of the cut piece, y down. */
export interface PieceCrease {
  readonly kind: 'fold' | 'stitch'
  readonly from: readonly [Length, Length]
  readonly to: readonly [Length, Length]
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
