import { add, ofTicks, subtract, zero, type Length } from '../length/length.js'
import { clashingPins } from './clashing-pins.js'
import { forward, leaderOf } from './matches.js'
import type { Cloth, LayoutPiece, LayoutRequest, Match, Pin } from './request.js'
import { meets, type Rectangle } from './rooms-around-pins.js'

/** More cloths than that are not tried for pieces that are to lie on one. */
const mostTried = 8

/**
 * The request with everything that is matched pinned to one cloth, so that the print meets: for each cloth that takes it,
 * the others nearest to its beginning behind the piece that they follow. Room for a whole repeat is not wanted so.
 */
export function pinMatched(request: LayoutRequest): readonly LayoutRequest[] {
  return request.cloths.slice(0, mostTried).flatMap(cloth => {
    const pieces = (request.matches ?? []).reduce<readonly LayoutPiece[] | undefined>(
      (pinned, match) => pinned && pinOne({ ...request, pieces: pinned }, match, cloth),
      request.pieces,
    )
    const asked = pieces && { ...request, pieces }
    return asked && clashingPins(asked).length === 0 ? [asked] : []
  })
}

/** The pieces with those of a match pinned to a cloth; undefined where it does not take them all. */
function pinOne(request: LayoutRequest, match: Match, cloth: Cloth): readonly LayoutPiece[] | undefined {
  const leader = leaderOf(match, request.pieces)
  let pieces = request.pieces
  const order = match.pieces.toSorted(
    (one, other) => Number(other.piece === leader) - Number(one.piece === leader),
  )
  for (const { piece: id } of order) {
    const piece = pieces.find(candidate => candidate.id === id)
    if (!piece) return undefined
    if (piece.pin) {
      if (piece.pin.cloth !== cloth.id || piece.pin.sheet !== 1) return undefined
      continue
    }
    const at = nearestPlace(piece, { request: { ...request, pieces }, match, cloth, leader })
    if (!at) return undefined
    const pin: Pin = { cloth: cloth.id, sheet: 1, ...at, turned: false }
    pieces = pieces.map(other => (other === piece ? { ...piece, pin } : other))
  }
  return pieces
}

interface Search {
  readonly request: LayoutRequest
  readonly match: Match
  readonly cloth: Cloth
  readonly leader: string | undefined
}

/** Of the places at which the print meets, the one that ends soonest along the cloth, then the one furthest to the left. */
function nearestPlace(
  piece: LayoutPiece,
  search: Search,
): { readonly x: Length; readonly y: Length } | undefined {
  const { request, match, cloth, leader } = search
  const taken = takenOn(request, cloth)
  const led = request.pieces.find(({ id }) => id === leader)?.pin
  const own = match.pieces.find(entry => entry.piece === piece.id)
  const first = match.pieces.find(entry => entry.piece === leader)
  const phase = (side: 'x' | 'y') =>
    led && own && first ? led[side] + subtract(own[side], first[side]) : zero
  const xs = stops(
    taken.map(({ x, width }) => x + width),
    phase('x'),
    led && match.across,
  )
  const ys = stops(
    taken.map(({ y, height }) => y + height),
    phase('y'),
    led && match.along,
  )
  const places = ys
    .flatMap(y => xs.map(x => ({ x, y })))
    .filter(
      ({ x, y }) =>
        x + piece.width <= cloth.width &&
        y + piece.height <= (cloth.length ?? Infinity) &&
        !taken.some(place => meets({ x, y, width: piece.width, height: piece.height }, place)),
    )
  return places.toSorted((one, other) => one.y - other.y || one.x - other.x)[0]
}

/** What a piece may not lie over, the gap round what lies there included. */
function takenOn({ pieces, gap }: LayoutRequest, cloth: Cloth): readonly Rectangle[] {
  const pinned = pieces.flatMap(({ pin, width, height }): readonly Rectangle[] => {
    if (pin?.cloth !== cloth.id || pin.sheet !== 1) return []
    const [wide, high] = pin.turned ? [height, width] : [width, height]
    return [
      {
        x: subtract(pin.x, gap),
        y: subtract(pin.y, gap),
        width: add(wide, gap, gap),
        height: add(high, gap, gap),
      },
    ]
  })
  return [...pinned, ...(cloth.avoid ?? [])]
}

/** Nothing, and behind everything that lies there, each moved on to where the print comes again. */
function stops(ends: readonly number[], phase: number, repeat: Length | undefined): readonly Length[] {
  const all = [0, ...ends].map(end => end + forward(phase - end, repeat))
  return [...new Set(all)].filter(at => at >= 0).map(ofTicks)
}
