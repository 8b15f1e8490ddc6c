import { add, longest, scale, zero, type Length } from '../length/length.js'
import type { Role } from '../material/role.js'
import type { Placement } from '../nest/layout.js'
import type { Part } from '../nest/cut-order.js'
import { line, rectangle, text, type Drawing, type Mark } from './drawing.js'
import { fillOf } from './ply-fill.js'

/** A sheet of cloth as it lies on the table: the beginning at the left, the width upright. */
export interface SheetToDraw {
  readonly name: string
  readonly role: Role
  readonly width: Length
  readonly length: Length
  readonly placements: readonly Placement[]
  readonly labelOf: (placement: Placement) => string
  readonly print: 'none' | 'one-way' | 'two-way'
  readonly leftOvers: readonly Part[]
  /** The cut that is made next: a line across the part in hand. */
  readonly cut?: { readonly part: Part; readonly direction: 'across' | 'along'; readonly at: Length }
}

/** Selvedges, grain and print, every piece in its place with an arrow to its top, what is left, and the next cut. */
export function drawSheet(sheet: SheetToDraw): Drawing {
  const { name, role, width, length, placements, leftOvers } = sheet
  const margin = scale(longest(width, length), 1 / 30)
  return {
    title: `${name}, ${placements.length} pieces on it`,
    from: [scale(margin, -1), scale(margin, -1.6)],
    width: add(length, scale(margin, 2)),
    height: add(width, scale(margin, 2.8)),
    marks: [
      rectangle([zero, zero], length, width, { style: 'edge', fill: 'inside' }),
      ...selvedges(sheet, scale(margin, 0.25)),
      ...grain(sheet, margin),
      ...leftOvers.map(({ x, y, width: wide, height }) =>
        rectangle([y, x], height, wide, { style: 'hidden', fill: 'none' }),
      ),
      ...placements.flatMap(placed => drawPlaced(placed, role, sheet.labelOf(placed))),
      ...nextCut(sheet),
    ],
  }
}

/** Two lines beside each long edge: the woven edges, which are cut off. Boards and card have none. */
function selvedges({ role, width, length }: SheetToDraw, by: Length): readonly Mark[] {
  if (role === 'board' || role === 'card') return []
  return [by, (width - by) as Length].map(y => line([zero, y], [length, y], 'hem'))
}

function grain({ print, length }: SheetToDraw, margin: Length): readonly Mark[] {
  const y = scale(margin, -0.8)
  const words =
    print === 'one-way'
      ? 'grain, print up this way'
      : print === 'two-way'
        ? 'grain, print both ways'
        : 'grain'
  const end = scale(length, 0.35)
  return [
    line([end, y], [zero, y], 'hint', print === 'one-way' ? 'end' : 'both'),
    text([add(end, scale(margin, 0.4)), y], words, { size: 'small', align: 'start' }),
  ]
}

/** A piece lies with its top towards the beginning of the cloth, or, turned, towards the upper selvedge. */
function drawPlaced(placed: Placement, role: Role, label: string): readonly Mark[] {
  const { x, y, width, height, turned, piece } = placed
  const [middleX, middleY] = [add(y, scale(height, 1 / 2)), add(x, scale(width, 1 / 2))]
  const reach = scale(turned ? width : height, 0.38)
  const arrow = turned
    ? line([middleX, add(middleY, reach)], [middleX, (middleY - reach) as Length], 'hint', 'end')
    : line([add(middleX, reach), middleY], [(middleX - reach) as Length, middleY], 'hint', 'end')
  return [
    rectangle([y, x], height, width, { style: 'cut', fill: fillOf(role), piece }),
    arrow,
    text([middleX, middleY], label, { size: 'small' }),
  ]
}

function nextCut({ cut }: SheetToDraw): readonly Mark[] {
  if (!cut) return []
  const { part, direction, at } = cut
  const mark =
    direction === 'across'
      ? line([add(part.y, at), part.x], [add(part.y, at), add(part.x, part.width)], 'tape')
      : line([part.y, add(part.x, at)], [add(part.y, part.height), add(part.x, at)], 'tape')
  return [rectangle([part.y, part.x], part.height, part.width, { style: 'fold' }), mark]
}
