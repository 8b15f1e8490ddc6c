import { fillOf } from '../drawing/ply-fill.js'
import { hasSides } from '../drawing/joining-drawing.js'
import type { Joining, PiledLayer } from '../families/joining.js'
import { openingPlaces } from '../families/opening-place.js'
import { add, longest, mm, scale, shortest, subtract, toMm, zero, type Length } from '../length/length.js'
import type { Piece } from '../piece/piece.js'
import type { Leaf, Place, Stitches } from './leaf.js'

/** What a pile is made of beside its pieces. */
export interface PileParts {
  readonly pieces: readonly Piece[]
  readonly seam: Length
  /** As long as the gap that is left to turn the work through; nothing where none is left. */
  readonly opening: Length
  /** The thing, where it lies in the pile. */
  readonly thing: { readonly width: Length; readonly height: Length; readonly thickness: Length }
  /** How deep a flap comes out, so that one cut twice as wide is known to be folded. */
  readonly flap: Length
  /** How wide the cover is that comes of it, laid flat. */
  readonly flat: Length
  readonly thicknessOf: (piece: Piece) => Length
}

/** A layer of a pile as it lies there, and how many layers are below it. */
export interface PileLeaf {
  readonly leaf: Leaf
  readonly level: number
  /** 180 where its right side looks up: a leaf lies with its inside up. */
  readonly angle: number
}

/** The layers of one joining, at true size, from the table up; the topmost with its line of stitches. */
export function pileLeaves(joining: Joining, parts: PileParts): readonly PileLeaf[] {
  const layers = joining.layers.map(layer => spread(layer, joining, parts))
  const isOnThing = joining.layers.some(({ what }) => what === 'thing')
  const widest =
    isOnThing && joining.layers.some(({ place }) => place === 'both ends')
      ? parts.thing.width
      : longest(zero, ...layers.map(({ size, place }) => roomOf(size, place, parts)))
  const sheets = layers.map(({ size, place }) => sizeIn(size, place, widest, parts))
  const highest = longest(zero, ...sheets.map(({ height }) => height))
  let z = zero
  return layers.flatMap(({ layer, place }, level) => {
    const sheet = sheets[level] ?? parts.thing
    const size = sheet.height === zero ? { ...sheet, height: highest } : sheet
    z = add(z, size.thickness)
    const isTop = level === layers.length - 1
    return cornersOf(place, size, widest, highest).map(([x, y], copy): PileLeaf => {
      const leaf: Leaf = {
        id: `${joining.id}:${level}:${copy}`,
        name: layer.name,
        ...(layer.what === 'piece' && { piece: layer.id }),
        ...size,
        ...fillsOf(layer, parts.pieces),
        at: [toMm(x), toMm(y), toMm(z)],
        stitches: isTop && joining.how === 'stitch' ? stitchesOf(joining, size, parts) : [],
      }
      return { leaf, level, angle: layer.face === 'right side up' ? 180 : 0 }
    })
  })
}

type LayerPlace = PiledLayer['place']

interface Size {
  readonly width: Length
  readonly height: Length
  readonly thickness: Length
}

/** What is cut in pairs and lies in a pile of both ends lies at both ends itself: boards on their cloth. */
function spread(layer: PiledLayer, joining: Joining, parts: PileParts) {
  const piece = layer.what === 'piece' ? parts.pieces.find(({ id }) => id === layer.id) : undefined
  const isPair =
    layer.place === undefined &&
    (piece?.count ?? 1) > 1 &&
    joining.layers.some(({ place }) => place === 'both ends')
  return { layer, size: sizeOf(layer, piece, parts), place: isPair ? 'both ends' : layer.place } as const
}

function sizeOf({ what }: PiledLayer, piece: Piece | undefined, parts: PileParts): Size {
  if (what === 'thing') return parts.thing
  // A zip or a cord, as long as the edge that it lies at.
  if (!piece) return { width: parts.thing.width, height: mm(25), thickness: mm(2) }
  return { width: piece.width.cut, height: piece.height.cut, thickness: parts.thicknessOf(piece) }
}

/** Long and narrow: a gusset, piping, binding. */
function isStrip({ width, height }: Size): boolean {
  return width > scale(height, 6)
}

/** How wide a pile must be for a layer; strips run along it, however long they are. */
function roomOf(size: Size, place: LayerPlace, parts: PileParts): Length {
  if (isStrip(size)) return zero
  const isHalf = place === 'both ends' && scale(size.width, 2) > scale(parts.flat, 0.6)
  return isHalf && !isFolded(size, parts) ? longest(parts.flat, size.width) : size.width
}

/** A flap that is cut twice as wide as it comes out. */
function isFolded({ width }: Size, { flap }: PileParts): boolean {
  return flap > zero && width > scale(flap, 1.6) && width < scale(flap, 2.6)
}

/**
 * A layer as it lies in its pile: a flap that is cut twice as wide is folded; of a sheet that is turned in at both ends only
 * what is turned in lies there; of a strip, what there is room for: one that stands at an end has no height of its own.
 */
function sizeIn(size: Size, place: LayerPlace, widest: Length, parts: PileParts): Size {
  const { flap, flat } = parts
  if (isStrip(size))
    return place === 'both ends'
      ? { ...size, width: size.height, height: zero }
      : { ...size, width: shortest(size.width, widest) }
  if (place !== 'both ends' && place !== 'left' && place !== 'right') return size
  if (isFolded(size, parts))
    return { ...size, width: scale(size.width, 1 / 2), thickness: scale(size.thickness, 2) }
  if (size.width < scale(widest, 0.6)) return size
  return { ...size, width: flap > zero ? flap : longest(mm(5), scale(subtract(size.width, flat), 1 / 2)) }
}

/** The lower left corner of each copy of a layer, in a pile so wide and so high. */
function cornersOf(
  place: LayerPlace,
  { width, height }: Size,
  widest: Length,
  highest: Length,
): readonly (readonly [Length, Length])[] {
  const half = (room: Length, size: Length) => scale(subtract(room, size), 1 / 2)
  const middle = [half(widest, width), half(highest, height)] as const
  const right = subtract(widest, width)
  if (place === undefined) return [middle]
  switch (place) {
    case 'left':
      return [[zero, middle[1]]]
    case 'right':
      return [[right, middle[1]]]
    case 'both ends':
      return [
        [zero, middle[1]],
        [right, middle[1]],
      ]
    case 'top':
      return [[middle[0], subtract(highest, height)]]
    case 'bottom':
      return [[middle[0], zero]]
    case 'middle':
      return [middle]
  }
}

/** Its right side is the outside of the leaf; padding and board look the same from both. */
function fillsOf(layer: PiledLayer, pieces: readonly Piece[]): Pick<Leaf, 'inside' | 'outside'> {
  const role = layer.what === 'piece' ? pieces.find(({ id }) => id === layer.id)?.role : undefined
  if (role === undefined) return { inside: 'object', outside: 'object' }
  const fill = fillOf(role)
  return { inside: hasSides(role) ? 'wrong-side' : fill, outside: fill }
}

/** A seam’s width inside the edges that are joined, on the side that looks up, with the gap in the middle of its edge. */
function stitchesOf(
  { edges, opening }: Joining,
  { width, height }: Size,
  { seam, opening: gap }: PileParts,
): readonly Stitches[] {
  const [left, right] = [seam, subtract(width, seam)]
  const [bottom, top] = [seam, subtract(height, seam)]
  const lines = {
    left: [
      [left, bottom],
      [left, top],
    ],
    right: [
      [right, bottom],
      [right, top],
    ],
    bottom: [
      [left, bottom],
      [right, bottom],
    ],
    top: [
      [left, top],
      [right, top],
    ],
  } as const
  const open = opening && openingPlaces[opening].edge
  return edges.flatMap(edge => {
    const [from, to] = lines[edge]
    if (edge !== open || gap <= zero) return [{ kind: 'stitch', from, to } as const]
    const axis = edge === 'left' ? 1 : 0
    const before = scale(subtract(subtract(to[axis], from[axis]), gap), 1 / 2)
    const along = (length: Length): readonly [Length, Length] =>
      axis === 0 ? [add(from[0], length), from[1]] : [from[0], add(from[1], length)]
    const [start, end] = [along(before), along(add(before, gap))]
    return [
      { kind: 'stitch', from, to: start } as const,
      { kind: 'opening', from: start, to: end } as const,
      { kind: 'stitch', from: end, to } as const,
    ]
  })
}

/** How far a pile reaches, in millimetres. */
export function reachOf(leaves: readonly Leaf[]): Place {
  const most = (axis: 0 | 1 | 2, size: (leaf: Leaf) => number) =>
    Math.max(0, ...leaves.map(leaf => leaf.at[axis] + size(leaf)))
  return [most(0, leaf => toMm(leaf.width)), most(1, leaf => toMm(leaf.height)), most(2, () => 0)]
}
