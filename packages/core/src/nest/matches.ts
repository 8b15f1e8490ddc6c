import { ofTicks, shortest, subtract, zero, type Length } from '../length/length.js'
import type { Layout, Placement } from './layout.js'
import type { LayoutPiece, LayoutRequest, Match } from './request.js'

/** How far a piece may be moved within its room, so that the print meets: up to one repeat. */
export interface Slack {
  readonly along: Length
  readonly across: Length
}

const none: Slack = { along: zero, across: zero }

/** The room that the first copy of a piece wants beside its own size. The one that the others follow wants none. */
export function slackOf(id: string, { matches = [], pieces }: LayoutRequest): Slack {
  const match = matchOf(id, matches)
  if (!match || leaderOf(match, pieces) === id) return none
  return { along: match.along ?? zero, across: match.across ?? zero }
}

/** What is matched lies upright: turned, its print would run the other way. */
export function uprightWhereMatched(request: LayoutRequest): LayoutRequest {
  const { matches = [], pieces } = request
  if (matches.length === 0) return request
  return {
    ...request,
    pieces: pieces.map(piece => {
      if (!matchOf(piece.id, matches)) return piece
      const { turnIfNeeded: _, turn, ...kept } = piece
      return { ...kept, turn: turn === 'quarter' ? 'half' : turn }
    }),
  }
}

/** The placements with every piece that follows another moved on within its room, until the print meets. */
export function meetingPlacements(
  placements: readonly Placement[],
  { matches = [], pieces }: LayoutRequest,
): readonly Placement[] {
  const moved = new Map<Placement, Placement>()
  for (const match of matches) {
    const leader = firstCopy(placements, leaderOf(match, pieces))
    if (!leader) continue
    for (const { piece: id } of match.pieces) {
      const placed = firstCopy(placements, id)
      const isPinned = pieces.find(piece => piece.id === id)?.pin !== undefined
      if (!placed || placed === leader || isPinned || !isOneSheet(placed, leader)) continue
      const { x, y } = missesBy(placed, leader, match)
      moved.set(placed, {
        ...placed,
        x: ofTicks(placed.x + forward(-x, match.across)),
        y: ofTicks(placed.y + forward(-y, match.along)),
      })
    }
  }
  return placements.map(placed => moved.get(placed) ?? placed)
}

/**
 * Followers may leave the beginning of a sheet and its left edge free: everything is moved there as it lies, which
 * neither parts nor joins anything, unless something is pinned or to be avoided on it.
 */
export function movedToCorner(placements: readonly Placement[], isFree: (on: Placement) => boolean) {
  return placements.map(placed => {
    if (!isFree(placed)) return placed
    const here = placements.filter(other => isOneSheet(other, placed))
    const [x, y] = [shortestOf(here.map(on => on.x)), shortestOf(here.map(on => on.y))]
    return { ...placed, x: subtract(placed.x, x), y: subtract(placed.y, y) }
  })
}

function shortestOf([first = zero, ...others]: readonly Length[]): Length {
  return shortest(first, ...others)
}

/** How the print comes out where two pieces were to meet. */
export type Meeting =
  | { readonly kind: 'meets' }
  /** By so much the second piece lies too far along the cloth, or across it; less than nothing is too little. */
  | { readonly kind: 'misses'; readonly along: Length; readonly across: Length }
  /** On different pieces of cloth nobody can say where the print begins. */
  | { readonly kind: 'apart' }
  | { readonly kind: 'turned'; readonly piece: string }
  | { readonly kind: 'unplaced'; readonly piece: string }

/** How each piece of a match comes out beside its first. */
export function meetingsWithFirst(layout: Layout, match: Match) {
  const [first, ...others] = match.pieces.map(({ piece }) => piece)
  if (first === undefined) return []
  return others.map(other => ({ first, other, meeting: meetingOf(layout, match, [first, other]) }))
}

/** How many pieces of all matches do not meet the first of theirs. */
export function countMissed(layout: Layout, matches: readonly Match[]): number {
  return matches
    .flatMap(match => meetingsWithFirst(layout, match))
    .filter(({ meeting }) => meeting.kind !== 'meets').length
}

/** Whether the print runs on from one piece of a match to another in a layout. */
export function meetingOf(layout: Layout, match: Match, [one, other]: readonly [string, string]): Meeting {
  const [first, second] = [firstCopy(layout.placements, one), firstCopy(layout.placements, other)]
  if (!first) return { kind: 'unplaced', piece: one }
  if (!second) return { kind: 'unplaced', piece: other }
  if (!isOneSheet(first, second)) return { kind: 'apart' }
  const turned = [first, second].find(placed => placed.turned)
  if (turned) return { kind: 'turned', piece: turned.piece }
  const { x, y } = missesBy(second, first, match)
  const [along, across] = [nearest(y, match.along), nearest(x, match.across)]
  return along === zero && across === zero ? { kind: 'meets' } : { kind: 'misses', along, across }
}

/** The piece that the others follow: one that is pinned, else the largest, which costs the most to move about. */
export function leaderOf({ pieces: matched }: Match, pieces: readonly LayoutPiece[]): string | undefined {
  const known = matched.flatMap(({ piece }) => pieces.find(({ id }) => id === piece) ?? [])
  const areaOf = ({ width, height }: LayoutPiece) => width * height
  const [largest] = known.toSorted((one, other) => areaOf(other) - areaOf(one))
  return (known.find(({ pin }) => pin) ?? largest)?.id
}

function matchOf(id: string, matches: readonly Match[]): Match | undefined {
  return matches.find(({ pieces }) => pieces.some(({ piece }) => piece === id))
}

function firstCopy(placements: readonly Placement[], id: string | undefined): Placement | undefined {
  return placements.find(({ piece, copy }) => piece === id && copy === 1)
}

function isOneSheet(one: Placement, other: Placement): boolean {
  return one.cloth === other.cloth && one.sheet === other.sheet
}

/** How far a piece lies beyond where the print of another asks for it, repeats not counted. */
function missesBy(placed: Placement, leader: Placement, { pieces }: Match) {
  const own = pieces.find(({ piece }) => piece === placed.piece)
  const led = pieces.find(({ piece }) => piece === leader.piece)
  if (!own || !led) throw new Error('A piece was held against a match that it is not of')
  return {
    x: placed.x - leader.x - subtract(own.x, led.x),
    y: placed.y - leader.y - subtract(own.y, led.y),
  }
}

/** How far on it is to the next repeat. */
export function forward(by: number, repeat: Length | undefined): number {
  return repeat === undefined ? 0 : ((by % repeat) + repeat) % repeat
}

/** The shortest way to the next repeat, to either side. */
function nearest(by: number, repeat: Length | undefined): Length {
  if (repeat === undefined) return zero
  const on = forward(by, repeat)
  return ofTicks(2 * on > repeat ? on - repeat : on)
}
