import { placePanels, type Strip, type StripLine, type StripPoint } from '../../families/strip.js'
import { absolute, add, mm, scale, shortest, subtract, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import type { Plan } from '../../plan/plan.js'
import { line, text, type Mark, type Point } from '../drawing.js'
import { onPiece, type Lying } from './lying.js'

/** The middle of every side, a quarter inch deep: what is matched first. */
export function middleNotches(width: Length, height: Length, unit: Unit): readonly Mark[] {
  const [across, along] = [scale(width, 1 / 2), scale(height, 1 / 2)]
  const deep = customary(1 / 4, unit)
  return [
    line([across, zero], [across, deep], 'hint'),
    line([across, height], [across, subtract(height, deep)], 'hint'),
    line([zero, along], [deep, along], 'hint'),
    line([width, along], [subtract(width, deep), along], 'hint'),
  ]
}

/**
 * What meets the edge of a seamed piece elsewhere: folds, the ends of the opening and of zips, ties and elastic, the sides
 * of tabs, handles and pockets that the seam catches, and how far a flap reaches. Half as deep as the seam, so that they
 * may be snipped, each with its name but for the folds, which are drawn.
 */
export function placeNotches({ strip, settled }: Plan, lying: Lying): readonly Mark[] {
  const meeting = [...linesMeeting(strip), ...shapesMeeting(strip), ...flapsReaching(strip, lying)]
  const reach = add(settled.seam, byTurningAndRounding)
  const found = meeting.flatMap(({ at, name }) => atEdge(onPiece(at, lying), { lying, reach, name }))
  return found
    .filter((notch, index) => found.findIndex(other => isSame(other, notch)) === index)
    .flatMap(notch => drawNotch(notch, lying, settled.seam))
}

/** The fold of a turned edge, and what rounding to the grid gave the cut. */
const byTurningAndRounding = mm(5)

/** Something that meets the seam line. */
interface Meeting {
  readonly at: StripPoint
  readonly name: string
}

const lineNames: Readonly<Partial<Record<StripLine['kind'], string>>> = {
  fold: '',
  opening: 'opening',
  zip: 'zip ends',
  tie: 'tie',
  ribbon: 'ribbon',
  elastic: 'elastic',
}

function linesMeeting({ lines }: Strip): readonly Meeting[] {
  return lines.flatMap(({ kind, from, to }) => {
    const name = lineNames[kind]
    return name === undefined ? [] : [from, to].map(at => ({ at, name }))
  })
}

function shapesMeeting({ shapes }: Strip): readonly Meeting[] {
  return shapes.flatMap(({ at: [x, y], width, height, name }) =>
    [x, add(x, width)].flatMap(across =>
      [y, add(y, height)].map(down => ({ at: [across, down] as const, name })),
    ),
  )
}

/** A flap that is sewn on lies over the body as far as it is deep. */
function flapsReaching({ panels, height }: Strip, { area }: Lying): readonly Meeting[] {
  const [left, right] = [area.at[0], add(area.at[0], area.width)]
  return placePanels(panels).flatMap(({ kind, x, width }) => {
    const end = add(x, width)
    const middle = add(x, scale(width, 1 / 2))
    if (kind !== 'flap' || (middle > left && middle < right)) return []
    const reaches = middle < left ? add(end, width) : subtract(x, width)
    return [zero, height].map(y => ({ at: [reaches, y] as const, name: 'flap ends' }))
  })
}

interface Notch {
  readonly edge: 'left' | 'right' | 'top' | 'bottom'
  /** From the left, or from the top. */
  readonly along: Length
  readonly name: string
}

/** At the one edge that it is near; a corner needs no notch, and what lies inside or outside meets no edge. */
function atEdge(
  [x, y]: Point,
  { lying, reach, name }: { readonly lying: Lying; readonly reach: Length; readonly name: string },
): readonly Notch[] {
  const { width, height } = lying.area
  const near = (place: Length, edge: Length) => absolute(subtract(place, edge)) <= reach
  const sides = [
    ...(near(x, zero) ? (['left'] as const) : []),
    ...(near(x, width) ? (['right'] as const) : []),
    ...(near(y, zero) ? (['top'] as const) : []),
    ...(near(y, height) ? (['bottom'] as const) : []),
  ]
  const [edge, other] = sides
  if (edge === undefined || other !== undefined) return []
  const along = edge === 'left' || edge === 'right' ? y : x
  return along > zero && along < (along === y ? height : width) ? [{ edge, along, name }] : []
}

function isSame(one: Notch, other: Notch): boolean {
  return one.edge === other.edge && absolute(subtract(one.along, other.along)) < mm(1)
}

function drawNotch({ edge, along, name }: Notch, { area }: Lying, seam: Length): readonly Mark[] {
  const { width, height } = area
  const deep = shortest(scale(seam, 1 / 2), mm(4))
  const words = add(seam, mm(1.5))
  const inwards = (by: Length): Point => {
    if (edge === 'left') return [by, along]
    if (edge === 'right') return [subtract(width, by), along]
    return edge === 'top' ? [along, by] : [along, subtract(height, by)]
  }
  const turned = edge === 'top' || edge === 'bottom'
  return [
    line(inwards(zero), inwards(deep), 'hint'),
    ...(name === ''
      ? []
      : [
          text(inwards(words), name, {
            size: 'small',
            turned,
            align: edge === 'right' || edge === 'top' ? 'end' : 'start',
          }),
        ]),
  ]
}
