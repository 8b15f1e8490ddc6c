import { add, scale, shortest, subtract, zero, type Length } from '../length/length.js'

/** One part of the finished cover laid flat, from left to right as seen from outside. */
export interface Panel {
  readonly id: string
  readonly name: string
  readonly kind: 'flap' | 'board' | 'spine' | 'gap' | 'wall' | 'body' | 'fore-edge'
  readonly width: Length
  /** On which side of the closed thing it lies, where it is one of two. */
  readonly side?: 'back' | 'front'
  /** Planned, but best set on the thing itself. */
  readonly measureFirst?: boolean
}

/** How a line is made, which decides how it is drawn. */
export type StripLineKind =
  | 'fold'
  | 'seam'
  | 'stitch'
  | 'opening'
  /** One end of a bow. */
  | 'tie'
  /** A ribbon that is laid on, hangs or is wound round. */
  | 'ribbon'
  | 'zip'
  | 'binding'
  | 'hem'
  | 'quilting'
  | 'elastic'
  | 'slit'

/** Which side of the cover something lies on. */
export type Face = 'outside' | 'inside'

/** A place on the strip; the origin is the top left corner of the first panel, y goes down. */
export type StripPoint = readonly [Length, Length]

export interface StripLine {
  readonly kind: StripLineKind
  readonly from: StripPoint
  readonly to: StripPoint
  /** Seen from one side only; from both where it is left out. */
  readonly face?: Face
}

/** A layer that ends inside the strip, such as inset padding. */
export interface StripArea {
  readonly piece: string
  readonly at: StripPoint
  readonly width: Length
  readonly height: Length
}

/** A thing that sits on the cover: a pocket, a strap, a flap sewn on. */
export interface StripShape extends StripArea {
  readonly name: string
  readonly face: Face
  /** What of the piece that is cut for it goes under or into a seam at its left and at its foot, where that is known. */
  readonly under?: { readonly left: Length; readonly foot: Length }
  /** The curve that its upper edge dips in, in the middle. */
  readonly scoop?: { readonly width: Length; readonly depth: Length }
}

export interface StripHole {
  readonly at: StripPoint
  readonly diameter: Length
  /** Made with a punch; not where a button or a snap sits, or a needle goes through. */
  readonly punched?: true
}

/** A corner that is rounded (along and across are its radius) or cut off. */
export interface StripCorner {
  readonly at: StripPoint
  /** Which way the strip lies from the corner. */
  readonly towards: readonly [1 | -1, 1 | -1]
  readonly along: Length
  readonly across: Length
  readonly round: boolean
}

export interface Strip {
  readonly panels: readonly Panel[]
  readonly height: Length
  /** Where the cut piece of each stretch of panels ends, outside the seam line. */
  readonly cutPieces: readonly StripArea[]
  readonly areas: readonly StripArea[]
  readonly lines: readonly StripLine[]
  readonly shapes: readonly StripShape[]
  readonly holes: readonly StripHole[]
  readonly corners: readonly StripCorner[]
}

/** A strip of nothing but its panels. */
export function plainStrip(panels: readonly Panel[], height: Length): Strip {
  return { panels, height, cutPieces: [], areas: [], lines: [], shapes: [], holes: [], corners: [] }
}

export function totalWidth(panels: readonly Panel[]): Length {
  return add(...panels.map(panel => panel.width))
}

export interface PlacedPanel extends Panel {
  readonly x: Length
}

const placed = new WeakMap<readonly Panel[], readonly PlacedPanel[]>()

/** Where each panel begins, from the left: reckoned once a strip, for all that is added asks for it. */
export function placePanels(panels: readonly Panel[]): readonly PlacedPanel[] {
  const known = placed.get(panels) ?? placeInTurn(panels)
  placed.set(panels, known)
  return known
}

/** The flaps that fold in over their boards; an end that wraps over the front stays opened out. */
export function foldingFlaps(panels: readonly Panel[]): readonly PlacedPanel[] {
  const placed = placePanels(panels)
  return placed.some(({ kind }) => kind === 'fore-edge') ? [] : placed.filter(({ kind }) => kind === 'flap')
}

function placeInTurn(panels: readonly Panel[]): readonly PlacedPanel[] {
  let x = zero
  return panels.map(panel => {
    const next = { ...panel, x }
    x = add(x, panel.width)
    return next
  })
}

export function upright(kind: StripLineKind, x: Length, height: Length, face?: Face): StripLine {
  return { kind, from: [x, zero], to: [x, height], ...(face && { face }) }
}

export function level(kind: StripLineKind, y: Length, from: Length, to: Length, face?: Face): StripLine {
  return { kind, from: [from, y], to: [to, y], ...(face && { face }) }
}

/** A fold wherever one panel meets the next. */
export function foldsBetween(panels: readonly Panel[], height: Length): readonly StripLine[] {
  return placePanels(panels)
    .slice(1)
    .map(({ x }) => upright('fold', x, height))
}

/** The same line along all four edges. */
export function allRound(kind: StripLineKind, width: Length, height: Length): readonly StripLine[] {
  return [
    upright(kind, zero, height),
    upright(kind, width, height),
    level(kind, zero, zero, width),
    level(kind, height, zero, width),
  ]
}

/** The gap that is left in the lower edge to turn the work through: so long, in the middle of what is free. */
export function openingBelow(
  height: Length,
  { left, room }: { readonly left: Length; readonly room: Length },
  length: Length,
): readonly StripLine[] {
  if (length <= zero) return []
  const from = add(left, scale(subtract(room, length), 1 / 2))
  return [level('opening', height, from, add(from, length))]
}

/** The same in the left side seam, from so far below the top. */
export function openingAtSide(from: Length, length: Length): StripLine {
  return { kind: 'opening', from: [zero, from], to: [zero, add(from, length)] }
}

/** A piece as it is cut, centred over a stretch of the strip. */
export function centred(
  piece: string,
  [width, height]: readonly [Length, Length],
  { left, room, high }: { readonly left: Length; readonly room: Length; readonly high: Length },
): StripArea {
  const at = [add(left, scale(subtract(room, width), 1 / 2)), scale(subtract(high, height), 1 / 2)] as const
  return { piece, at, width, height }
}

/** The four corners of a stretch, each rounded by `radius`. */
export function roundedCorners(
  left: Length,
  right: Length,
  height: Length,
  radius: Length,
): readonly StripCorner[] {
  const corner = (x: Length, y: Length, towards: StripCorner['towards']): StripCorner => ({
    at: [x, y],
    towards,
    along: radius,
    across: radius,
    round: true,
  })
  return [
    corner(left, zero, [1, 1]),
    corner(right, zero, [-1, 1]),
    corner(right, height, [-1, -1]),
    corner(left, height, [1, -1]),
  ]
}

/** How far quilting lines are apart, side by side on one panel; undefined where no panel has two. */
export function quiltingPitch({ lines, panels }: Strip): Length | undefined {
  const places = lines.flatMap(({ kind, from, to }) =>
    kind === 'quilting' && from[0] === to[0] ? [from[0]] : [],
  )
  const gaps = placePanels(panels).flatMap(({ x, width }) => {
    const across = [...new Set(places)].filter(at => at >= x && at <= x + width)
    const sorted = across.toSorted((one, other) => one - other)
    return sorted.slice(1).map((at, index) => subtract(at, sorted[index] ?? at))
  })
  const [first, ...others] = gaps
  return first === undefined ? undefined : shortest(first, ...others)
}
