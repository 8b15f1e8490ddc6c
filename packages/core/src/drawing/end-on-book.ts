import type { Ply, Section } from '../families/section.js'
import { add, longest, mm, negate, scale, subtract, zero, type Length } from '../length/length.js'
import { line, rectangle, type Mark, type PathMark } from './drawing.js'
import { fillOf } from './ply-fill.js'
import { goDown, goUp } from './spine-outline.js'

/** A closed book with the plies round three sides, its flaps inside, and what closes it at the fore-edge. */
export function drawClosedBook(section: Section): readonly Mark[] {
  return [
    ...drawBook(section),
    ...wrapPlies(section),
    ...drawFlaps(section),
    ...(section.closing === 'zip' ? drawZippedGusset(section) : []),
    ...(section.closing === 'over' ? drawOverlap(section) : []),
  ]
}

function drawBook({ width, thickness, board, rounded, device }: Section): readonly Mark[] {
  if (device) return [rectangle([zero, zero], width, thickness, { style: 'object', fill: 'board' })]
  const block: PathMark = {
    kind: 'path',
    start: [width, zero],
    steps: [{ to: [zero, zero] }, ...goDown(zero, thickness, rounded), { to: [width, thickness] }],
    closed: true,
    style: 'object',
    fill: 'leaves',
  }
  const boards = board > zero && scale(board, 2) < thickness
  return [
    block,
    ...leafLines(zero, width, [zero, thickness]),
    ...(boards
      ? [
          rectangle([zero, zero], width, board, { style: 'object', fill: 'board' }),
          rectangle([zero, subtract(thickness, board)], width, board, { style: 'object', fill: 'board' }),
        ]
      : []),
  ]
}

/** A few leaves of a block between two levels. */
export function leafLines(
  left: Length,
  width: Length,
  [top, bottom]: readonly [Length, Length],
): readonly Mark[] {
  const high = subtract(bottom, top)
  return [0.25, 0.4, 0.55, 0.7].map(part => {
    const y = add(top, scale(high, part))
    return line([add(left, scale(width, 0.06)), y], [add(left, scale(width, 0.97)), y], 'leaf')
  })
}

/** Each ply as a band round three sides, open at the fore-edge; corners turn with the ply's own stand-off. */
function wrapPlies(section: Section): readonly Mark[] {
  let inner = zero
  return section.plies.map(ply => {
    const outside = add(inner, ply.thickness)
    const band = bandBetween(inner, outside, section, ply)
    inner = outside
    return band
  })
}

function bandBetween(
  inner: Length,
  outside: Length,
  { width, thickness, rounded }: Section,
  ply: Ply,
): PathMark {
  return {
    kind: 'path',
    start: [width, negate(outside)],
    steps: [
      { to: [zero, negate(outside)] },
      ...goDown(outside, thickness, rounded),
      { to: [width, add(thickness, outside)] },
      { to: [width, add(thickness, inner)] },
      { to: [zero, add(thickness, inner)] },
      ...goUp(inner, thickness, rounded),
      { to: [width, negate(inner)] },
    ],
    closed: true,
    style: 'edge',
    fill: fillOf(ply.role),
    piece: ply.role,
  }
}

/** The flaps inside the boards, from the fore-edge inwards, and the turn round the fore-edge. */
function drawFlaps({ flap, plies, width, thickness, board }: Section): readonly Mark[] {
  if (!flap || flap.depth <= zero) return []
  const bulk = add(...plies.map(ply => ply.thickness))
  const flapBulk = longest(add(...flap.plies.map(ply => ply.thickness)), mm(0.1))
  const left = subtract(width, flap.depth)
  const style = { style: 'edge', fill: 'outer', piece: 'flap' } as const
  const turn = (from: Length, to: Length) =>
    rectangle([width, from], longest(scale(bulk, 1 / 2), flapBulk), subtract(to, from), style)
  const backInside = subtract(thickness, add(board, flapBulk))
  return [
    rectangle([left, board], flap.depth, flapBulk, style),
    rectangle([left, backInside], flap.depth, flapBulk, style),
    turn(negate(bulk), add(board, flapBulk)),
    turn(backInside, add(thickness, bulk)),
  ]
}

/** The gusset stands at the fore-edge, half of it on each side of the zip. */
function drawZippedGusset({ plies, width, thickness }: Section): readonly Mark[] {
  const bulk = add(...plies.map(ply => ply.thickness))
  const wall = longest(bulk, mm(0.6))
  const left = add(width, scale(wall, 1.2))
  const high = add(thickness, scale(bulk, 2))
  const middle = scale(thickness, 1 / 2)
  return [
    rectangle([left, negate(bulk)], scale(wall, 0.6), high, {
      style: 'edge',
      fill: 'outer',
      piece: 'gusset',
    }),
    line(
      [add(left, scale(wall, 0.3)), subtract(middle, mm(3))],
      [add(left, scale(wall, 0.3)), add(middle, mm(3))],
      'zip',
    ),
  ]
}

/** The end that goes on round the fore-edge and back over the front. */
function drawOverlap({ plies, width, thickness, overlap = zero }: Section): readonly Mark[] {
  const bulk = add(...plies.map(ply => ply.thickness))
  const top = scale(bulk, -2)
  const style = { style: 'edge', fill: 'outer', piece: 'outer' } as const
  return [
    rectangle([width, top], bulk, add(thickness, scale(bulk, 3)), style),
    rectangle([subtract(width, overlap), top], add(overlap, bulk), bulk, style),
  ]
}
