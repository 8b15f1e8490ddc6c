import type { Section } from '../families/section.js'
import { add, longest, mm, negate, scale, subtract, zero, type Length } from '../length/length.js'
import { rectangle, type Mark } from './drawing.js'
import { leafLines } from './end-on-book.js'
import { fillOf } from './ply-fill.js'

/** The cover lying open: its plies flat beneath, boards, half the leaves at each side, flaps over the boards. */
export function drawOpenBook(section: Section): readonly Mark[] {
  const { width, thickness, board, boards, plies, flap, overlap = zero } = section
  const stiff = boards?.thickness ?? board
  const spine = thickness
  const reach = add(width, boards?.overhang ?? zero)
  const right = add(reach, spine, reach)
  let y = zero
  const beneath = plies.toReversed().map(ply => {
    y = subtract(y, ply.thickness)
    return rectangle([zero, y], add(right, overlap), ply.thickness, {
      style: 'edge',
      fill: fillOf(ply.role),
      piece: ply.role,
    })
  })
  if (section.device) return [...beneath, deviceOn(section, y)]
  const onCloth = subtract(y, stiff)
  const block = scale(subtract(thickness, scale(boards ? zero : board, 2)), 1 / 2)
  const leaves = longest(block, mm(0.5))
  const top = subtract(onCloth, leaves)
  const page = scale(width, 0.98)
  const inner = [subtract(reach, page), add(reach, spine)] as const
  return [
    ...beneath,
    ...(stiff > zero ? boardsFlat({ reach, spine, y: onCloth, stiff, spineToo: boards !== undefined }) : []),
    ...inner.flatMap(left => [
      rectangle([left, top], page, leaves, { style: 'object', fill: 'leaves' }),
      ...leafLines(left, page, [top, onCloth]),
    ]),
    ...(flap && flap.depth > zero ? flapsFlat(flap, { right, y: onCloth }) : []),
  ]
}

/** A device lies on one half of its open case. */
function deviceOn({ width, thickness }: Section, y: Length): Mark {
  const look = { style: 'object', fill: 'board' } as const
  return rectangle([scale(width, 0.02), subtract(y, thickness)], scale(width, 0.96), thickness, look)
}

function boardsFlat(at: {
  readonly reach: Length
  readonly spine: Length
  readonly y: Length
  readonly stiff: Length
  readonly spineToo: boolean
}): readonly Mark[] {
  const { reach, spine, y, stiff, spineToo } = at
  const look = { style: 'object', fill: 'board', piece: 'board' } as const
  return [
    rectangle([zero, y], reach, stiff, look),
    rectangle([add(reach, spine), y], reach, stiff, look),
    ...(spineToo ? [rectangle([add(reach, scale(spine, 0.06)), y], scale(spine, 0.88), stiff, look)] : []),
  ]
}

function flapsFlat(
  { depth, plies }: NonNullable<Section['flap']>,
  { right, y }: { readonly right: Length; readonly y: Length },
): readonly Mark[] {
  const bulk = longest(add(...plies.map(ply => ply.thickness)), mm(0.1))
  const look = { style: 'edge', fill: 'outer', piece: 'flap' } as const
  const top = subtract(y, bulk)
  const turned = negate(top)
  return [
    rectangle([zero, top], depth, bulk, look),
    rectangle([subtract(right, depth), top], depth, bulk, look),
    rectangle([negate(bulk), top], bulk, turned, look),
    rectangle([right, top], bulk, turned, look),
  ]
}
