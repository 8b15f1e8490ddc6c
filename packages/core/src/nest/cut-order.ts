import { add, subtract, type Length } from '../length/length.js'
import type { Layout, Placement, UsedSheet } from './layout.js'

/** One cut with ruler and blade, right across the part in hand. */
export interface CutStep {
  readonly cloth: string
  readonly sheet: number
  /** The part in hand, where it lay on the sheet. */
  readonly part: Part
  /** `across` cuts from selvedge to selvedge, `along` with the length of the cloth. */
  readonly direction: 'across' | 'along'
  /** Where the ruler is set: from the near edge of the part in hand, or from its left one. */
  readonly at: Length
  /** The pieces that this cut frees. */
  readonly frees: readonly Pick<Placement, 'piece' | 'copy'>[]
}

export interface Part {
  readonly x: Length
  readonly y: Length
  readonly width: Length
  readonly height: Length
}

/**
 * The cuts that part a layout, each from edge to edge of what is in hand, the larger part first; what is not needed of a
 * sheet comes off before. Undefined where no such cuts part it, as in most layouts for scissors. `lengthOf` says how long
 * the sheets are; of a cloth without a length just what is used is in hand.
 */
export function orderCuts(
  layout: Layout,
  lengthOf: (cloth: string) => Length | undefined,
): readonly CutStep[] | undefined {
  const steps: CutStep[] = []
  for (const sheet of layout.used) {
    const here = layout.placements.filter(on => on.cloth === sheet.cloth && on.sheet === sheet.sheet)
    const whole = { x: 0, y: 0, width: sheet.width, height: sheet.length } as Part
    steps.push(...cutOff(sheet, here, lengthOf(sheet.cloth)))
    if (!cutPart(whole, here, sheet, steps)) return undefined
  }
  return steps
}

/** First what is not needed comes off the end, so that it stays in one. */
function cutOff(
  { cloth, sheet, width, length }: UsedSheet,
  here: readonly Placement[],
  whole: Length | undefined,
): readonly CutStep[] {
  if (whole === undefined || whole <= length) return []
  const part = { x: 0, y: 0, width, height: whole } as Part
  const frees = here.filter(piece => piece.width === width && piece.height === length)
  return [
    {
      cloth,
      sheet,
      part,
      direction: 'across',
      at: length,
      frees: frees.map(({ piece, copy }) => ({ piece, copy })),
    },
  ]
}

function cutPart(part: Part, placed: readonly Placement[], sheet: UsedSheet, steps: CutStep[]): boolean {
  const [only, ...more] = placed
  if (!only || (more.length === 0 && isWhole(only, part))) return true
  const cut = bestCut(part, placed)
  if (!cut) return false
  const { direction, at, near, far } = cut
  const halves = [near, far].map(half => ({ half, inside: placed.filter(piece => isIn(piece, half)) }))
  const frees = halves.flatMap(({ half, inside }) => inside.filter(piece => isWhole(piece, half)))
  steps.push({
    cloth: sheet.cloth,
    sheet: sheet.sheet,
    part,
    direction,
    at,
    frees: frees.map(({ piece, copy }) => ({ piece, copy })),
  })
  return halves
    .toSorted((one, other) => largest(other.inside) - largest(one.inside))
    .every(({ half, inside }) => cutPart(half, inside, sheet, steps))
}

interface Cut {
  readonly direction: CutStep['direction']
  readonly at: Length
  readonly near: Part
  readonly far: Part
}

/** Of the cuts that leave every piece whole, the one that comes nearest to halving what lies there. */
function bestCut(part: Part, placed: readonly Placement[]): Cut | undefined {
  const ys = placed.flatMap(({ y, height }) => [y, add(y, height)])
  const xs = placed.flatMap(({ x, width }) => [x, add(x, width)])
  const cuts = [
    ...inside(ys, part.y, part.y + part.height).map(y => cutAcross(part, y)),
    ...inside(xs, part.x, part.x + part.width).map(x => cutAlong(part, x)),
  ].filter(({ near, far }) => placed.every(piece => isIn(piece, near) || isIn(piece, far)))
  const total = areaOf(placed)
  const uneven = ({ near }: Cut) => Math.abs(total - 2 * areaOf(placed.filter(piece => isIn(piece, near))))
  return cuts.toSorted((one, other) => uneven(one) - uneven(other))[0]
}

function inside(places: readonly Length[], from: number, to: number): readonly Length[] {
  return [...new Set(places)].filter(place => place > from && place < to)
}

function cutAcross({ x, y, width, height }: Part, at: Length): Cut {
  return {
    direction: 'across',
    at: subtract(at, y),
    near: { x, y, width, height: subtract(at, y) },
    far: { x, y: at, width, height: subtract(add(y, height), at) },
  }
}

function cutAlong({ x, y, width, height }: Part, at: Length): Cut {
  return {
    direction: 'along',
    at: subtract(at, x),
    near: { x, y, width: subtract(at, x), height },
    far: { x: at, y, width: subtract(add(x, width), at), height },
  }
}

function isIn(piece: Placement, part: Part): boolean {
  return (
    piece.x >= part.x &&
    piece.y >= part.y &&
    piece.x + piece.width <= part.x + part.width &&
    piece.y + piece.height <= part.y + part.height
  )
}

function isWhole(piece: Placement, part: Part): boolean {
  return piece.width === part.width && piece.height === part.height
}

function areaOf(placed: readonly Placement[]): number {
  return placed.reduce((sum, { width, height }) => sum + width * height, 0)
}

function largest(placed: readonly Placement[]): number {
  return Math.max(0, ...placed.map(({ width, height }) => width * height))
}
