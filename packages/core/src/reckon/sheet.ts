import { subtract, zero, type Length } from '../length/length.js'
import type { Role } from '../material/role.js'
import type { Piece } from '../piece/piece.js'

/** One piece of cloth, card or board to cut from. */
export interface Sheet {
  readonly role: Role
  readonly width: Length
  readonly length: Length
}

interface Rectangle {
  readonly width: Length
  readonly height: Length
}

type Order = (one: Rectangle, other: Rectangle) => number

const orders: readonly Order[] = [
  (one, other) => other.height - one.height || other.width - one.width,
  (one, other) => other.width - one.width || other.height - one.height,
  (one, other) => other.width * other.height - one.width * one.height,
]

/**
 * Whether all pieces of the sheet's role can be cut from it, edge to edge, none turned. Several orders are tried, so a
 * yes is a layout that was found; a no may now and then be too careful. No pieces of the role fit on anything.
 */
export function fitsOnSheet(pieces: readonly Piece[], { role, width, length }: Sheet): boolean {
  const wanted = pieces
    .filter(piece => piece.role === role)
    .flatMap(({ count, width: wide, height }) =>
      Array.from({ length: count }, () => ({ width: wide.cut, height: height.cut })),
    )
  return orders.some(order => isPacked(wanted.toSorted(order), { width, height: length }))
}

/** Takes the tightest free rectangle for each piece and splits what is left of it along the shorter remainder. */
function isPacked(wanted: readonly Rectangle[], sheet: Rectangle): boolean {
  let free: readonly Rectangle[] = [sheet]
  for (const piece of wanted) {
    const fitting = free.filter(room => room.width >= piece.width && room.height >= piece.height)
    const room = fitting.toSorted((one, other) => slack(one, piece) - slack(other, piece))[0]
    if (!room) return false
    free = [...free.filter(other => other !== room), ...splitRoom(room, piece)]
  }
  return true
}

function slack(room: Rectangle, piece: Rectangle): number {
  return Math.min(room.width - piece.width, room.height - piece.height)
}

function splitRoom(room: Rectangle, piece: Rectangle): readonly Rectangle[] {
  const beside = subtract(room.width, piece.width)
  const below = subtract(room.height, piece.height)
  const split: readonly Rectangle[] =
    beside < below
      ? [
          { width: beside, height: piece.height },
          { width: room.width, height: below },
        ]
      : [
          { width: beside, height: room.height },
          { width: piece.width, height: below },
        ]
  return split.filter(({ width, height }) => width > zero && height > zero)
}
