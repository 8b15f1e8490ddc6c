import { placePanels, type Strip, type StripArea, type StripShape } from '../families/strip.js'
import { add, ofTicks, scale, subtract, zero, type Length } from '../length/length.js'
import type { Piece } from '../piece/piece.js'
import type { Plan } from '../plan/plan.js'

/** Where a piece as cut would lie if the cover were laid flat, seen from outside; the corner is the top left one. */
export interface PrintPlace {
  readonly piece: string
  /** From 1. */
  readonly copy: number
  readonly x: Length
  readonly y: Length
  readonly width: Length
  readonly height: Length
  /** What of it is seen once it is made: its panels, or what of a pocket is outside. */
  readonly windows: readonly PrintWindow[]
}

/** A part of a piece, from the corner of the piece as it is cut. */
export interface PrintWindow {
  readonly name: string
  readonly x: Length
  readonly y: Length
  readonly width: Length
  readonly height: Length
}

/**
 * Every piece whose print is seen from outside, on one plane: the panels as they are cut, flaps sewn on to them, and
 * pockets on the outside. Two of them that overlap there meet at a seam, or one lies on the other.
 */
export function printPlaces({ strip, pieces, settled }: Pick<Plan, 'strip' | 'pieces' | 'settled'>) {
  const known = new Map(pieces.map(piece => [piece.id, piece]))
  const panels = strip.cutPieces.flatMap((area, index) => {
    const piece = known.get(area.piece)
    const copy = strip.cutPieces.slice(0, index).filter(other => other.piece === area.piece).length + 1
    return piece && copy <= piece.count ? [boxOf(piece, copy, cornerOfPanel(area, piece))] : []
  })
  const onStrip = [...panels, ...flapPlaces(strip, pieces, panels, settled.seam)]
  return [
    ...onStrip.map((box): PrintPlace => ({ ...box, windows: panelsWithin(box, strip) })),
    ...pocketPlaces(strip, known),
  ]
}

type PlaceBox = Omit<PrintPlace, 'windows'>

function boxOf(piece: Piece, copy: number, [x, y]: readonly [Length, Length]): PlaceBox {
  return { piece: piece.id, copy, x, y, width: piece.width.cut, height: piece.height.cut }
}

/** The panels whose middle lies on a piece; of those beside it only what its seams take lies on it. */
function panelsWithin({ x, y, width }: PlaceBox, strip: Strip): readonly PrintWindow[] {
  return placePanels(strip.panels)
    .filter(panel => {
      const middle = panel.x + panel.width / 2
      return panel.width > zero && middle > x && middle < x + width
    })
    .map(panel => ({
      name: panel.name,
      x: subtract(panel.x, x),
      y: subtract(zero, y),
      width: panel.width,
      height: strip.height,
    }))
}

/** A panel that is cut larger and trimmed lies in the middle of what it is trimmed to. */
function cornerOfPanel({ at: [x, y], width, height }: StripArea, piece: Piece): readonly [Length, Length] {
  return [
    subtract(x, half(subtract(piece.width.cut, width))),
    subtract(y, half(subtract(piece.height.cut, height))),
  ]
}

/** Flaps on seams at the edges of one panel piece: the first at its left, the second at its right. */
function flapPlaces(
  strip: Strip,
  pieces: readonly Piece[],
  panels: readonly PlaceBox[],
  seam: Length,
): readonly PlaceBox[] {
  const [body, ...more] = panels
  const flap = pieces.find(({ part, role, count }) => part === 'flap' && role === 'outer' && count === 2)
  if (!body || more.length > 0 || !flap || !hasSeams(strip)) return []
  const overlap = scale(seam, 2)
  const y = add(body.y, half(subtract(body.height, flap.height.cut)))
  return [
    boxOf(flap, 1, [subtract(add(body.x, overlap), flap.width.cut), y]),
    boxOf(flap, 2, [subtract(add(body.x, body.width), overlap), y]),
  ]
}

function hasSeams({ lines }: Strip): boolean {
  return lines.some(({ kind, from, to }) => kind === 'seam' && from[0] === to[0])
}

function pocketPlaces({ shapes }: Strip, known: ReadonlyMap<string, Piece>): readonly PrintPlace[] {
  return shapes.flatMap(shape => {
    const piece = known.get(shape.piece)
    if (!piece || !shape.under || shape.face !== 'outside') return []
    const box = boxOf(piece, 1, cornerOfPocket(shape, shape.under, piece))
    const { at, width, height, name } = shape
    const seen = { name, x: subtract(at[0], box.x), y: subtract(at[1], box.y), width, height }
    return [{ ...box, windows: [seen] }]
  })
}

/** Its foot is where it is sewn on; what is hemmed or folded is above. */
function cornerOfPocket(
  { at: [x, y], height }: StripShape,
  { left, foot }: NonNullable<StripShape['under']>,
  piece: Piece,
): readonly [Length, Length] {
  return [subtract(x, left), subtract(add(y, height, foot), piece.height.cut)]
}

/** To the nearest tick. */
function half(length: Length): Length {
  return ofTicks(Math.round(length / 2))
}
