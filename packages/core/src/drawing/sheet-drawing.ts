import { add, longest, scale, shortest, subtract, zero, type Length } from '../length/length.js'
import type { Role } from '../material/role.js'
import type { Placement } from '../nest/layout.js'
import type { Part } from '../nest/cut-order.js'
import { line, rectangle, text, type Drawing, type Mark, type Point } from './drawing.js'
import { fillOf } from './ply-fill.js'

/** A sheet of cloth as it lies on the table: its beginning above, the selvedges left and right. */
export interface SheetToDraw {
  readonly name: string
  readonly role: Role
  readonly width: Length
  readonly length: Length
  readonly placements: readonly Placement[]
  readonly labelOf: (placement: Placement) => string
  readonly print: 'none' | 'one-way' | 'two-way'
  readonly leftOvers: readonly Part[]
  /** What no piece may cover. */
  readonly avoid?: readonly Part[]
  /** What is to be seen: a motif, a border, a ready fold. */
  readonly marks?: readonly NamedPart[]
  /** The cut that is made next: a line across the part in hand. */
  readonly cut?: { readonly part: Part; readonly direction: 'across' | 'along'; readonly at: Length }
}

export interface NamedPart extends Part {
  readonly name: string
}

/** Selvedges, grain and print, every piece in its place with an arrow to its top, what is left, and the next cut. */
export function drawSheet(sheet: SheetToDraw): Drawing {
  const { name, role, width, length, placements, leftOvers } = sheet
  const margin = scale(longest(width, length), 1 / 30)
  return {
    title: `${name}, ${placements.length} ${placements.length === 1 ? 'piece' : 'pieces'} on it`,
    from: [scale(margin, -2), scale(margin, -0.4)],
    width: add(width, scale(margin, 2.4)),
    height: add(length, scale(margin, 0.8)),
    marks: [
      rectangle([zero, zero], width, length, { style: 'edge', fill: 'inside' }),
      ...selvedges(sheet, scale(margin, 0.2)),
      ...grain(sheet, margin),
      ...leftOvers.map(({ x, y, width: wide, height }) =>
        rectangle([x, y], wide, height, { style: 'hidden' }),
      ),
      ...(sheet.avoid ?? []).flatMap(place => drawAvoided(place, sheet)),
      ...placements.flatMap(placed => drawPlaced(placed, role, sheet.labelOf(placed), margin)),
      ...(sheet.marks ?? []).flatMap(drawMarked),
      ...nextCut(sheet),
    ],
  }
}

/** A line beside each long edge: the woven edges, which are cut off. Boards and card have none. */
function selvedges({ role, width, length }: SheetToDraw, by: Length): readonly Mark[] {
  if (role === 'board' || role === 'card') return []
  return [by, subtract(width, by)].map(x => line([x, zero], [x, length], 'hem'))
}

function grain({ print, length }: SheetToDraw, margin: Length): readonly Mark[] {
  const x = scale(margin, -0.5)
  const words =
    print === 'one-way' ? 'grain, print up' : print === 'two-way' ? 'grain, print both ways' : 'grain'
  return [
    line([x, length], [x, zero], 'hint', print === 'one-way' ? 'end' : 'both'),
    text([scale(margin, -1.2), scale(length, 1 / 2)], words, { size: 'small', turned: true }),
  ]
}

/** Crossed out, as far as it lies on the cloth. */
export function drawAvoided(
  { x, y, width, height }: Part,
  sheet: Pick<SheetToDraw, 'width' | 'length'>,
): readonly Mark[] {
  const right = shortest(add(x, width), sheet.width)
  const bottom = shortest(add(y, height), sheet.length)
  if (right <= x || bottom <= y) return []
  return [
    rectangle([x, y], subtract(right, x), subtract(bottom, y), { style: 'slit', fill: 'missing' }),
    line([x, y], [right, bottom], 'slit'),
    line([x, bottom], [right, y], 'slit'),
  ]
}

/** Framed, with its name inside. */
export function drawMarked({ x, y, width, height, name }: NamedPart): readonly Mark[] {
  return [
    rectangle([x, y], width, height, { style: 'measure' }),
    text([add(x, scale(width, 1 / 2)), add(y, scale(height, 1 / 2))], name, {
      size: 'small',
      turned: height > width * slim,
    }),
  ]
}

/** So much taller than wide, a piece has its label along it. */
const slim = 1.8

/** A piece lies with its top towards the beginning of the cloth, or, turned, towards the left selvedge. */
function drawPlaced(placed: Placement, role: Role, label: string, margin: Length): readonly Mark[] {
  const { x, y, width, height, turned, piece } = placed
  const isSlim = height > width * slim
  const middle: Point = [add(x, scale(width, isSlim ? 0.65 : 0.5)), add(y, scale(height, 1 / 2))]
  const aside = shortest(margin, scale(turned ? height : width, 0.2))
  const foot = turned
    ? line(
        [add(x, scale(width, 0.8)), add(y, aside)],
        [add(x, scale(width, 0.2)), add(y, aside)],
        'hint',
        'end',
      )
    : line(
        [add(x, aside), add(y, scale(height, 0.8))],
        [add(x, aside), add(y, scale(height, 0.2))],
        'hint',
        'end',
      )
  return [
    rectangle([x, y], width, height, { style: 'cut', fill: fillOf(role), piece }),
    foot,
    text(middle, label, { size: 'small', turned: isSlim }),
  ]
}

function nextCut({ cut }: SheetToDraw): readonly Mark[] {
  if (!cut) return []
  const { part, direction, at } = cut
  const mark =
    direction === 'across'
      ? line([part.x, add(part.y, at)], [add(part.x, part.width), add(part.y, at)], 'tape')
      : line([add(part.x, at), part.y], [add(part.x, at), add(part.y, part.height)], 'tape')
  return [rectangle([part.x, part.y], part.width, part.height, { style: 'fold' }), mark]
}
