import { mm, toMm } from '../length/length.js'
import type { ObjectKind, SpineShape } from '../object/kind.js'
import type { Proportions } from '../object/proportions.js'
import { line, type Fill, type LineStyle, type Mark, type PathMark } from './drawing.js'
import { at, box, circle, word } from './sketching.js'

/** A thing to be drawn; its sides in millimetres. */
export interface Thing {
  readonly kind: ObjectKind
  readonly spine: SpineShape
  readonly height: number
  readonly width: number
  readonly thickness: number
  readonly board: number
  readonly coil: number
  readonly corner: number
}

export function thingOf(kind: ObjectKind, spine: SpineShape, sides: Proportions): Thing {
  const { height, width, thickness, board, coil, corner } = sides
  return {
    kind,
    spine,
    height: toMm(height),
    width: toMm(width),
    thickness: toMm(thickness),
    board: toMm(board),
    coil: toMm(coil),
    corner: toMm(corner),
  }
}

/** How far the boards of a book stand out beyond its pages, as they usually do. */
export const boardEdge = 3

/** Closed, from the front: its spine at the left, its head above. */
export function drawFront(thing: Thing): readonly Mark[] {
  const { kind, height, width, corner } = thing
  if (kind === 'tablet')
    return [
      rounded(0, 0, width, height, Math.min(corner, width / 3), { style: 'object', fill: 'board' }),
      box(0.06 * width, 0.05 * height, 0.88 * width, 0.9 * height, 'object', 'leaves'),
    ]
  if (kind === 'journal') return drawLeafBlock(thing)
  return [
    rounded(0, 0, width, height, Math.min(corner, width / 3), { style: 'object', fill: 'outside' }),
    ...(thing.coil > 0 ? coils(thing) : [line(at(0.045 * width, 0), at(0.045 * width, height), 'fold')]),
    word(0.52 * width, 0.3 * height, 'front'),
  ]
}

/** Folded sheets in a few signatures, standing upright. */
function drawLeafBlock({ height, width }: Thing): readonly Mark[] {
  return [
    box(0, 0, width, height, 'object', 'leaves'),
    ...[0.01, 0.02, 0.03].map(share => line(at(share * width, 0), at(share * width, height), 'leaf')),
    word(0.5 * width, 0.3 * height, 'a page'),
  ]
}

function coils({ height, coil }: Thing): readonly Mark[] {
  const count = Math.max(4, Math.round(height / 14))
  return Array.from({ length: count }, (_, index) => {
    const y = ((index + 0.5) * height) / count
    return line(at(-coil / 3, y), at(coil / 2, y), 'hole')
  })
}

/** Closed, from its tail: the spine at the left, the front above. */
export function drawTail(thing: Thing): readonly Mark[] {
  const { kind, width, thickness, spine, coil } = thing
  if (kind === 'tablet')
    return [rounded(0, 0, width, thickness, thickness / 2.2, { style: 'object', fill: 'board' })]
  const board = kind === 'journal' ? 0 : Math.max(0.6, Math.min(thing.board, thickness / 4))
  const leaves = Array.from({ length: 7 }, (_, index) => {
    const y = board + ((index + 1) * (thickness - 2 * board)) / 8
    return line(at(2, y), at(width - boardEdge, y), 'leaf')
  })
  return [
    box(0, board, width - (board > 0 ? boardEdge : 0), thickness - 2 * board, 'object', 'leaves'),
    ...leaves,
    ...(board > 0
      ? [
          box(0, 0, width, board, 'object', 'board'),
          box(0, thickness - board, width, board, 'object', 'board'),
        ]
      : []),
    ...(spine === 'rounded' ? [arc(0, thickness, 0, 0, thickness / 1.6)] : []),
    ...(coil > 0 ? [circle(coil / 4, thickness / 2, coil / 2, 'hole')] : []),
    word(width / 2, -6, 'front'),
  ]
}

/** Lying open and flat, outside up: back, spine, front. */
export function drawOpenFlat({ height, width, thickness }: Thing): readonly Mark[] {
  return [
    box(0, 0, 2 * width + thickness, height, 'object', 'outside'),
    line(at(width, 0), at(width, height), 'fold'),
    line(at(width + thickness, 0), at(width + thickness, height), 'fold'),
    word(width / 2, 0.3 * height, 'back'),
    word(1.5 * width + thickness, 0.3 * height, 'front'),
  ]
}

function arc(x1: number, y1: number, x2: number, y2: number, radius: number): PathMark {
  return {
    kind: 'path',
    start: at(x1, y1),
    steps: [{ to: at(x2, y2), radius: mm(radius), clockwise: true }],
    closed: false,
    style: 'object',
    fill: 'none',
  }
}

interface Look {
  readonly style: LineStyle
  readonly fill: Fill
}

function rounded(x: number, y: number, width: number, height: number, radius: number, look: Look): PathMark {
  const turn = (toX: number, toY: number) => ({ to: at(toX, toY), radius: mm(radius), clockwise: true })
  if (radius <= 0) return box(x, y, width, height, look.style, look.fill)
  return {
    kind: 'path',
    start: at(x + radius, y),
    steps: [
      { to: at(x + width - radius, y) },
      turn(x + width, y + radius),
      { to: at(x + width, y + height - radius) },
      turn(x + width - radius, y + height),
      { to: at(x + radius, y + height) },
      turn(x, y + height - radius),
      { to: at(x, y + radius) },
      turn(x + radius, y),
    ],
    closed: true,
    ...look,
  }
}
