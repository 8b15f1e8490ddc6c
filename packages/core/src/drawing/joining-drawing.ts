import { roleOfLayer, type Joining, type PiledLayer } from '../families/joining.js'
import { openingPlaces } from '../families/opening-place.js'
import { add, mm, scale, subtract, type Length } from '../length/length.js'
import type { Role } from '../material/role.js'
import type { Piece } from '../piece/piece.js'
import { line, text, type Drawing, type Fill, type Mark, type PathMark, type Point } from './drawing.js'
import { fillOf } from './ply-fill.js'
import { wrapWords } from './wrap-words.js'

/** The pile is drawn slantwise, not to scale: so wide, so deep, leaning so far, its layers so far apart. */
const wide = 62
const deep = 26
const lean = 16
const apart = 13
const labelAt = wide + lean + 5

/** So many letters have room beside the pile; what is longer goes on in the line below. */
const lettersBeside = 31
const lineApart = 5.5

/**
 * What lies on what before it is joined: the table below, each layer with the side that looks up, the line of stitches
 * on the topmost. `mirrored` for left-handed work.
 */
export function drawJoining(
  joining: Joining,
  pieces: readonly Piece[],
  { mirrored = false }: { readonly mirrored?: boolean } = {},
): Drawing {
  const { layers, name, seenFrom } = joining
  const top = (layers.length - 1) * apart
  const flip = (x: number) => (mirrored ? wide + lean - x : x)
  const marks = [
    ...layers.flatMap((layer, index) =>
      drawLayer(layer, roleOfLayer(layer, pieces), top - index * apart, flip),
    ),
    ...drawStitches(joining, 0, flip),
    line(at(flip(-4), top + deep + 5), at(flip(wide + 4), top + deep + 5), 'object'),
    text(at(flip(wide / 2), top + deep + 8), 'table', { size: 'small' }),
  ]
  return {
    title: `${name}. Seen from ${seenFrom}. Not to scale`,
    from: at(mirrored ? -70 : -8, -4),
    width: mm(162),
    height: mm(top + deep + 16),
    marks,
    plainCloth: true,
  }
}

function drawLayer(
  layer: PiledLayer,
  role: Role | undefined,
  y: number,
  flip: (x: number) => number,
): readonly Mark[] {
  const sided = hasSides(role)
  const right = layer.face === 'right side up' || !sided
  const spans = spansOf(layer)
  const mirrored = flip(0) !== 0
  const side = sided ? `, ${layer.face}` : ''
  const fill = right ? (role ? fillOf(role) : 'object') : 'wrong-side'
  return [
    ...spans.map(span => sheet(span, y, flip, fill, layer.id)),
    ...(right ? [] : spans.map(span => wrongSide(span, y, flip))),
    ...wrapWords(`${layer.name}${side}`, lettersBeside).map((words, index, { length: lines }) =>
      text(
        at(mirrored ? flip(labelAt) : labelAt, y + deep / 2 + (index - (lines - 1) / 2) * lineApart),
        words,
        { align: mirrored ? 'end' : 'start', size: 'small' },
      ),
    ),
  ]
}

/** Cloth has a right side; padding, card, board and the thing itself look the same from both. */
export function hasSides(role: Role | undefined): boolean {
  return role !== undefined && !['padding', 'interfacing', 'board', 'card'].includes(role)
}

interface Span {
  readonly left: number
  readonly right: number
  readonly near: number
  readonly far: number
}

const whole: Span = { left: 0, right: 1, near: 1, far: 0 }

/** Which part of the pile a layer covers. */
function spansOf({ place }: PiledLayer): readonly Span[] {
  if (place === undefined) return [whole]
  switch (place) {
    case 'left':
      return [{ ...whole, right: 0.3 }]
    case 'right':
      return [{ ...whole, left: 0.7 }]
    case 'both ends':
      return [
        { ...whole, right: 0.3 },
        { ...whole, left: 0.7 },
      ]
    case 'middle':
      return [{ ...whole, left: 0.3, right: 0.7 }]
    case 'top':
      return [{ ...whole, near: 0.25 }]
    case 'bottom':
      return [{ ...whole, far: 0.4 }]
  }
}

/** A point of the slanted sheet: `across` from the left, `down` from the far edge, both as shares. */
function corner(across: number, down: number, y: number, flip: (x: number) => number): Point {
  return at(flip(across * wide + (1 - down) * lean), y + down * deep)
}

function sheet(span: Span, y: number, flip: (x: number) => number, fill: Fill, piece: string): PathMark {
  const { left, right, near, far } = span
  return {
    kind: 'path',
    start: corner(left, far, y, flip),
    steps: [
      { to: corner(right, far, y, flip) },
      { to: corner(right, near, y, flip) },
      { to: corner(left, near, y, flip) },
    ],
    closed: true,
    style: 'edge',
    fill,
    piece,
  }
}

/** The wrong side carries a diagonal, so that it is told apart without colour. */
function wrongSide({ left, right, near, far }: Span, y: number, flip: (x: number) => number): Mark {
  return line(corner(left, near, y, flip), corner(right, far, y, flip), 'hidden')
}

const inset = 0.06

/** The seam line along the joined edges of the topmost layer, with the gap that is left open. */
function drawStitches(
  { edges, opening, how }: Joining,
  y: number,
  flip: (x: number) => number,
): readonly Mark[] {
  if (how === 'glue') return []
  const [start, end] = [inset, 1 - inset]
  const point = (across: number, down: number) => corner(across, down, y, flip)
  const ends = {
    left: [point(start, start), point(start, end)],
    right: [point(end, start), point(end, end)],
    top: [point(start, start), point(end, start)],
    bottom: [point(start, end), point(end, end)],
  } as const
  const open = opening && openingPlaces[opening].edge
  return edges.flatMap((edge): readonly Mark[] => {
    const [from, to] = ends[edge]
    if (edge !== open) return [line(from, to, 'stitch')]
    const [first, second] = [between(from, to, 0.4), between(from, to, 0.6)]
    return [line(from, first, 'stitch'), line(first, second, 'opening'), line(second, to, 'stitch')]
  })
}

/** The point so far along from the one to the other. */
function between([x, y]: Point, [toX, toY]: Point, share: number): Point {
  return [add(x, scale(subtract(toX, x), share)), add(y, scale(subtract(toY, y), share))]
}

function at(x: number, y: number): readonly [Length, Length] {
  return [mm(x), mm(y)]
}
