import type { Strip, StripCorner } from '../families/strip.js'
import { add, scale, zero, type Length } from '../length/length.js'
import { type Mark, type PathMark, type PathStep, type Point } from './drawing.js'

/** The edge of the strip, its outermost corners rounded or cut off. */
export function outlineOf({ height, corners }: Strip, total: Length): PathMark {
  const corner = (x: Length, y: Length) => corners.find(({ at }) => at[0] === x && at[1] === y)
  const [start, ...steps] = [
    ...turnAt([zero, zero], corner(zero, zero), 'up'),
    ...turnAt([total, zero], corner(total, zero), 'along'),
    ...turnAt([total, height], corner(total, height), 'up'),
    ...turnAt([zero, height], corner(zero, height), 'along'),
  ]
  return { kind: 'path', start: start?.to ?? [zero, zero], steps, closed: true, style: 'edge', fill: 'none' }
}

/** Round one corner of the strip, clockwise: in by `up` from the side or `along` the edge, out by the other. */
function turnAt(at: Point, corner: StripCorner | undefined, from: 'up' | 'along'): readonly PathStep[] {
  if (!corner) return [{ to: at }]
  const [along, across] = ends(corner)
  const [first, second] = from === 'up' ? [across, along] : [along, across]
  return [
    { to: first },
    corner.round ? { to: second, radius: corner.along, clockwise: true } : { to: second },
  ]
}

/** Where the cut or the rounding begins along the edge, and where it ends across it. */
function ends({ at, towards, along, across }: StripCorner): readonly [Point, Point] {
  return [
    [add(at[0], scale(along, towards[0])), at[1]],
    [at[0], add(at[1], scale(across, towards[1]))],
  ]
}

/** Corners within the strip, such as those of the body between its flaps. */
export function drawCorners({ corners }: Strip, total: Length): readonly Mark[] {
  return corners
    .filter(({ at: [x] }) => x !== zero && x !== total)
    .map((corner): PathMark => {
      const [start, to] = ends(corner)
      const clockwise = corner.towards[0] !== corner.towards[1]
      return {
        kind: 'path',
        start,
        steps: [corner.round ? { to, radius: corner.along, clockwise } : { to }],
        closed: false,
        style: 'seam',
        fill: 'none',
      }
    })
}
