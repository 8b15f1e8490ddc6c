import { placePanels, totalWidth, type Face, type Strip, type StripPoint } from '../../families/strip.js'
import { add, scale, subtract, zero, type Length } from '../../length/length.js'
import { isHidden } from '../../drawing/turn-over.js'

/** What an edge belongs to. */
export type EdgeOf = 'panel' | 'shape' | 'corner' | 'cut' | 'line' | 'area' | 'hole'

/** A straight edge of the flat cover, and the direction in which it can go. */
export interface StripEdge {
  /** The same edge has the same key in every strip of the cover. */
  readonly key: string
  readonly of: EdgeOf
  readonly axis: 'x' | 'y'
  readonly at: Length
  readonly from: StripPoint
  readonly to: StripPoint
}

/** Every edge that shows on a face of the strip: of panels, of what is cut, of what lies on it. */
export function edgesOf(strip: Strip, face: Face): readonly StripEdge[] {
  const { height, cutPieces, areas, lines, shapes, holes, corners } = strip
  const total = totalWidth(strip.panels)
  return [
    ...boxEdges('panel', 'whole', { at: [zero, zero], width: total, height }),
    ...placePanels(strip.panels)
      .slice(1)
      .map(({ id, x }) => upright('panel', `before ${id}`, x, zero, height)),
    ...once(cutPieces, ({ piece }) => piece).flatMap(([key, box]) => boxEdges('cut', key, box)),
    ...once(areas, ({ piece }) => piece).flatMap(([key, box]) => boxEdges('area', key, box)),
    ...once(shapes, ({ piece }) => piece)
      .filter(([, shape]) => !isHidden(shape.face, face))
      .flatMap(([key, shape]) => [
        ...boxEdges('shape', key, shape),
        ...(shape.scoop ? scoopEdges(key, shape, shape.scoop) : []),
      ]),
    ...once(corners, ({ towards }) => towards.join()).flatMap(([key, corner]) => {
      const [x, y] = corner.at
      const along = add(x, scale(corner.along, corner.towards[0]))
      const across = add(y, scale(corner.across, corner.towards[1]))
      return [
        pointOn('corner', `${key} along`, 'x', [along, y]),
        pointOn('corner', `${key} across`, 'y', [x, across]),
      ]
    }),
    ...once(lines, ({ kind }) => kind)
      .filter(([, line]) => line.kind !== 'fold' && !isHidden(line.face, face))
      .flatMap(([key, { from, to }]) => [...endOf(`${key} from`, from), ...endOf(`${key} to`, to)]),
    ...holes.flatMap(({ at }, index) => [
      pointOn('hole', `${index} x`, 'x', at),
      pointOn('hole', `${index} y`, 'y', at),
    ]),
  ]
}

/** The middle of the body, without its flaps: what stays where it is when something is pulled. */
export function middleOf({ panels, height }: Strip): StripPoint {
  const placed = placePanels(panels)
  const body = placed.filter(({ kind }) => kind !== 'flap')
  const [first, last] = [body.at(0) ?? placed.at(0), body.at(-1) ?? placed.at(-1)]
  if (!first || !last) return [zero, scale(height, 1 / 2)]
  return [scale(add(first.x, last.x, last.width), 1 / 2), scale(height, 1 / 2)]
}

interface Box {
  readonly at: StripPoint
  readonly width: Length
  readonly height: Length
}

/** Things with a key each: what they are called, with a number from the second of a name on. */
function once<Thing>(
  things: readonly Thing[],
  name: (thing: Thing) => string,
): readonly (readonly [string, Thing])[] {
  const seen = new Map<string, number>()
  return things.map(thing => {
    const count = (seen.get(name(thing)) ?? 0) + 1
    seen.set(name(thing), count)
    return [`${name(thing)} ${count}`, thing]
  })
}

function boxEdges(of: EdgeOf, key: string, { at: [x, y], width, height }: Box): readonly StripEdge[] {
  const [right, bottom] = [add(x, width), add(y, height)]
  return [
    upright(of, `${key} left`, x, y, bottom),
    upright(of, `${key} right`, right, y, bottom),
    level(of, `${key} top`, y, x, right),
    level(of, `${key} bottom`, bottom, x, right),
  ]
}

function scoopEdges(
  key: string,
  { at: [x, y], width }: Box,
  scoop: { readonly width: Length; readonly depth: Length },
): readonly StripEdge[] {
  const left = add(x, scale(subtract(width, scoop.width), 1 / 2))
  const right = add(left, scoop.width)
  return [
    level('shape', `${key} scoop`, add(y, scoop.depth), left, right),
    pointOn('shape', `${key} scoop left`, 'x', [left, y]),
    pointOn('shape', `${key} scoop right`, 'x', [right, y]),
  ]
}

function upright(of: EdgeOf, key: string, x: Length, top: Length, bottom: Length): StripEdge {
  return { key: `${of} ${key}`, of, axis: 'x', at: x, from: [x, top], to: [x, bottom] }
}

function level(of: EdgeOf, key: string, y: Length, left: Length, right: Length): StripEdge {
  return { key: `${of} ${key}`, of, axis: 'y', at: y, from: [left, y], to: [right, y] }
}

function endOf(key: string, point: StripPoint): readonly StripEdge[] {
  return [pointOn('line', `${key} x`, 'x', point), pointOn('line', `${key} y`, 'y', point)]
}

function pointOn(of: EdgeOf, key: string, axis: 'x' | 'y', point: StripPoint): StripEdge {
  return { key: `${of} ${key}`, of, axis, at: point[axis === 'x' ? 0 : 1], from: point, to: point }
}
