import {
  foldingFlaps,
  placePanels,
  type Face,
  type Strip,
  type StripLine,
  type StripPoint,
  type StripShape,
} from '../families/strip.js'
import { add, longest, scale, shortest, subtract, zero, type Length } from '../length/length.js'

/**
 * The finished cover turned over: seen from inside, left and right changed places, flaps folded in over their boards.
 * An end that wraps over the front stays opened out.
 */
export function turnOver(strip: Strip): Strip {
  const placed = placePanels(strip.panels)
  const folded = foldingFlaps(strip.panels)
  const body = placed.filter(panel => !folded.includes(panel))
  const [first, last] = [body.at(0), body.at(-1)]
  if (!first || !last) return strip
  const [left, right] = [first.x, add(last.x, last.width)]
  const across = (x: Length): Length => {
    const inside = x < left ? subtract(scale(left, 2), x) : x > right ? subtract(scale(right, 2), x) : x
    return subtract(right, inside)
  }
  const point = ([x, y]: StripPoint): StripPoint => [across(x), y]
  const mirrored = ([x, y]: StripPoint): StripPoint => [subtract(right, x), y]
  const span = <Area extends { readonly at: StripPoint; readonly width: Length }>(area: Area): Area => {
    const ends = [across(area.at[0]), across(add(area.at[0], area.width))] as const
    return { ...area, at: [ends[0] < ends[1] ? ends[0] : ends[1], area.at[1]] }
  }
  // A layer that reaches over a fold goes in with the flap: what is seen of it ends there.
  const onBody = <Area extends { readonly at: StripPoint; readonly width: Length }>(area: Area): Area => {
    const end = add(area.at[0], area.width)
    if (end <= left || area.at[0] >= right) return area
    const from = longest(area.at[0], left)
    return { ...area, at: [from, area.at[1]], width: subtract(shortest(end, right), from) }
  }
  return {
    ...strip,
    panels: body.toReversed().map(({ x: _x, ...panel }) => panel),
    cutPieces: [],
    areas: strip.areas.map(area => span(onBody(area))),
    lines: strip.lines.map(line => {
      const turn = hangsFree(line) ? mirrored : point
      return { ...line, from: turn(line.from), to: turn(line.to) }
    }),
    shapes: [
      ...folded.map(({ x, width, name }): StripShape => {
        const flap = {
          piece: 'flap',
          name,
          face: 'inside',
          at: [x, zero],
          width,
          height: strip.height,
        } as const
        return span(flap)
      }),
      ...strip.shapes.map(span),
    ],
    holes: strip.holes.map(hole => ({ ...hole, at: point(hole.at) })),
    corners: strip.corners
      .filter(({ at: [x] }) => x >= left && x <= right)
      .map(corner => ({
        ...corner,
        at: point(corner.at),
        towards: [corner.towards[0] === 1 ? -1 : 1, corner.towards[1]] as const,
      })),
  }
}

/** Ties and elastic hang off the edge; they do not fold in with a flap. */
function hangsFree({ kind, face }: StripLine): boolean {
  return (kind === 'tie' || kind === 'elastic') && face === undefined
}

/** The strip with its flaps opened out: what sits on a flap is seen from outside, too. */
export function openOut(strip: Strip): Strip {
  const flaps = foldingFlaps(strip.panels)
  if (flaps.length === 0) return strip
  const onFlap = (from: Length, to: Length) =>
    flaps.some(({ x, width }) => Math.min(from, to) >= x - 1 && Math.max(from, to) <= x + width + 1)
  const seen = <Thing extends { readonly face?: Face }>(thing: Thing, from: Length, to: Length): Thing =>
    thing.face === 'inside' && onFlap(from, to) ? { ...thing, face: 'outside' } : thing
  return {
    ...strip,
    lines: strip.lines.map(line => seen(line, line.from[0], line.to[0])),
    shapes: strip.shapes.map(shape => seen(shape, shape.at[0], add(shape.at[0], shape.width))),
  }
}

/** The strip as it lies in the picture of one face. */
export function layFor(strip: Strip, face: Face): Strip {
  return face === 'inside' ? turnOver(strip) : openOut(strip)
}

/** Whether something on one face is hidden when the cover is seen from the other. */
export function isHidden(on: Face | undefined, seenFrom: Face): boolean {
  return on !== undefined && on !== seenFrom
}
