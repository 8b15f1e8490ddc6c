import { endless, longest, subtract, zero, type Length } from '../length/length.js'
import type { Unplaced } from './layout.js'
import { slackOf } from './matches.js'
import type { AvoidedPlace, Cloth, LayoutPiece, LayoutRequest } from './request.js'
import type { Parting, Rectangle } from './rooms-around-pins.js'
import { createKit, type Kit } from './strip/kit.js'

/** A layout request made ready for searching: whole units, the gap added to every piece and every sheet. */
export interface Task {
  readonly request: LayoutRequest
  /** Ticks a unit: the largest of which all pieces and pins are whole. */
  readonly unit: number
  /** The rooms that the pieces want: with the gap, and where the print is to meet, with up to a repeat. */
  readonly kit: Kit
  /** The same without what the print wants: no layout takes less than these. */
  readonly bare: Kit
  /** What each rectangle of the kit is, in its order. */
  readonly items: readonly Copy[]
  readonly sheets: readonly Sheet[]
  readonly tooLarge: readonly Unplaced[]
  /** How sheets are parted round what is pinned or avoided. */
  readonly parting: Parting
}

export interface Copy {
  readonly piece: LayoutPiece
  readonly copy: number
}

export interface Sheet {
  /** Its place among the sheets of the task. */
  readonly index: number
  readonly cloth: Cloth
  /** From 1. */
  readonly number: number
  readonly width: number
  /** Undefined for a cloth without end. */
  readonly length: number | undefined
  readonly pins: readonly PinnedCopy[]
  /** What is to be avoided, as rooms see it: a piece with its gap may reach so far into it. */
  readonly avoided: readonly Rectangle[]
}

export interface PinnedCopy extends Rectangle {
  readonly piece: LayoutPiece
  readonly turned: boolean
}

export function prepareTask(request: LayoutRequest, parting: Parting = 'largest'): Task {
  const { pieces, cloths } = request
  const unit = unitOf(request)
  const copies = pieces.flatMap(piece =>
    Array.from({ length: piece.count }, (_, index) => ({ piece, copy: index + 1 })),
  )
  const free = copies.filter(({ piece, copy }) => !piece.pin || copy > 1)
  const items = free.filter(({ piece }) => cloths.some(cloth => goesOn(piece, cloth)))
  return {
    request,
    parting,
    unit,
    items,
    ...kitsOf(items, request, unit),
    sheets: cloths
      .flatMap(cloth => sheetsOf(cloth, request, unit))
      .map((sheet, index) => ({ ...sheet, index })),
    tooLarge: free
      .filter(copy => !items.includes(copy))
      .map(({ piece, copy }) => ({ piece: piece.id, copy, why: 'too-large', over: overOf(piece, cloths) })),
  }
}

function kitsOf(items: readonly Copy[], request: LayoutRequest, unit: number): Pick<Task, 'kit' | 'bare'> {
  const rooms = items.map(({ piece: { width, height, turn } }) => ({
    width: (width + request.gap) / unit,
    height: (height + request.gap) / unit,
    turnable: turn === 'quarter',
  }))
  const bare = createKit(rooms)
  if (!request.matches) return { kit: bare, bare }
  const roomier = rooms.map((room, index) => {
    const { piece, copy } = items[index] as Copy
    if (copy > 1) return room
    const { along, across } = slackOf(piece.id, request)
    return {
      ...room,
      width: room.width + across / unit,
      height: room.height + along / unit,
    }
  })
  return { kit: createKit(roomier), bare }
}

/** Whether a piece goes onto an empty sheet of the cloth, one way or the other. */
export function goesOn(piece: LayoutPiece, cloth: Cloth): boolean {
  return waysOf(piece).some(way => overBy(way, cloth) === 0)
}

function sheetsOf(
  cloth: Cloth,
  { pieces, gap }: LayoutRequest,
  unit: number,
): readonly Omit<Sheet, 'index'>[] {
  return Array.from({ length: cloth.count }, (_, index) => ({
    cloth,
    number: index + 1,
    width: Math.floor((cloth.width + gap) / unit),
    length: cloth.length === undefined ? undefined : Math.floor((cloth.length + gap) / unit),
    avoided: (cloth.avoid ?? []).map(place => avoidedBy(place, gap, unit)),
    pins: pieces.flatMap(piece => {
      const { pin } = piece
      if (pin?.cloth !== cloth.id || pin.sheet !== index + 1) return []
      const [wide, high] = pin.turned ? [piece.height, piece.width] : [piece.width, piece.height]
      return [
        {
          piece,
          turned: pin.turned,
          x: pin.x / unit,
          y: pin.y / unit,
          width: (wide + gap) / unit,
          height: (high + gap) / unit,
        },
      ]
    }),
  }))
}

/**
 * No room is wanted between a piece and what is avoided, but pieces here carry their gap behind them: so the place begins
 * a gap later. One narrower than the gap keeps a unit, so that something of it is left to go round.
 */
function avoidedBy({ x, y, width, height }: AvoidedPlace, gap: Length, unit: number): Rectangle {
  const [endX, endY] = [Math.ceil((x + width) / unit), Math.ceil((y + height) / unit)]
  const fromX = Math.min(Math.floor((x + gap) / unit), endX - 1)
  const fromY = Math.min(Math.floor((y + gap) / unit), endY - 1)
  return { x: fromX, y: fromY, width: endX - fromX, height: endY - fromY }
}

function unitOf({ pieces, gap, cloths, matches = [] }: LayoutRequest): number {
  const lengths = pieces.flatMap(({ width, height, pin }) => [
    width + gap,
    height + gap,
    ...(pin ? [pin.x, pin.y] : []),
  ])
  // Where a place ends a room begins: exactly there.
  const begins = cloths.flatMap(({ avoid = [] }) =>
    avoid.flatMap(({ x, y, width, height }) => [x + width, y + height]),
  )
  const repeats = matches.flatMap(({ along = zero, across = zero }) => [along, across])
  return [...lengths, ...begins, ...repeats].reduce(greatestCommon, 0) || 1
}

function greatestCommon(one: number, other: number): number {
  return other === 0 ? one : greatestCommon(other, one % other)
}

type Way = readonly [wide: Length, high: Length]

function waysOf({ width, height, turn }: LayoutPiece): readonly Way[] {
  return turn === 'quarter'
    ? [
        [width, height],
        [height, width],
      ]
    : [[width, height]]
}

function overBy([wide, high]: Way, { width, length = endless }: Cloth): number {
  return Math.max(0, wide - width) + Math.max(0, high - length)
}

/** How far a piece goes over the cloth that it comes nearest to, lying as it comes nearest. */
function overOf(piece: LayoutPiece, cloths: readonly Cloth[]) {
  const [nearest] = cloths
    .flatMap(cloth => waysOf(piece).map(way => ({ cloth, way })))
    .toSorted((one, other) => overBy(one.way, one.cloth) - overBy(other.way, other.cloth))
  if (!nearest) throw new Error('A layout request without a cloth reached the search')
  const { cloth, way } = nearest
  return {
    cloth: cloth.id,
    width: longest(zero, subtract(way[0], cloth.width)),
    length: longest(zero, subtract(way[1], cloth.length ?? endless)),
  }
}
