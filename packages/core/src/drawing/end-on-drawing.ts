import type { Ply, Section } from '../families/section.js'
import type { SayLength } from '../finding/say.js'
import { add, longest, mm, negate, scale, subtract, zero, type Length } from '../length/length.js'
import { drawHeight } from './dimension.js'
import { line, rectangle, text, type Drawing, type Mark, type PathMark } from './drawing.js'
import { fillOf } from './ply-fill.js'
import { goDown, goUp } from './spine-outline.js'
import { drawDetail } from './stack-detail.js'

/**
 * The closed book seen from its tail, spine at the left, every ply round it as thick as it is; beside it a stack
 * detail, enlarged, in which the plies can be told apart.
 */
export function drawEndOn(section: Section, say: SayLength): Drawing {
  const { width, thickness, plies, rounded } = section
  const bulk = add(...plies.map(ply => ply.thickness))
  const unit = scale(longest(width, scale(thickness, 2)), 1 / 100)
  const detailLeft = add(width, bulk, scale(unit, 16))
  const detailTop = subtract(negate(bulk), scale(unit, 4))
  const detailWidth = scale(unit, 96)
  const detail = drawDetail(plies, [detailLeft, detailTop], detailWidth, unit)
  return {
    title: 'The closed book in its cover, seen from the tail',
    from: [
      subtract(negate(bulk), add(scale(unit, 3), rounded ? scale(thickness, 0.17) : zero)),
      subtract(negate(bulk), scale(unit, 7)),
    ],
    width: add(detailLeft, detailWidth, bulk, scale(unit, 3), rounded ? scale(thickness, 0.17) : zero),
    height: add(longest(add(thickness, scale(bulk, 2)), detail.height), scale(unit, 14)),
    marks: [
      ...drawBook(section),
      ...wrapPlies(section),
      ...drawFlaps(section),
      text([scale(width, 0.5), subtract(negate(bulk), scale(unit, 2.6))], 'front', { size: 'small' }),
      text([scale(width, 0.5), add(thickness, scale(bulk, 1), scale(unit, 4.4))], 'back', { size: 'small' }),
      ...drawHeight(
        [add(width, bulk, scale(unit, 3)), zero],
        [add(width, bulk, scale(unit, 3)), thickness],
        say(thickness),
        scale(unit, 0.8),
      ),
      ...detail.marks,
    ],
  }
}

function drawBook({ width, thickness, board, rounded }: Section): readonly Mark[] {
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
    ...leafLines(width, thickness),
    ...(boards
      ? [
          rectangle([zero, zero], width, board, { style: 'object', fill: 'board' }),
          rectangle([zero, subtract(thickness, board)], width, board, { style: 'object', fill: 'board' }),
        ]
      : []),
  ]
}

function leafLines(width: Length, thickness: Length): readonly Mark[] {
  return [0.25, 0.4, 0.55, 0.7].map(part =>
    line([scale(width, 0.06), scale(thickness, part)], [scale(width, 0.97), scale(thickness, part)], 'leaf'),
  )
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
