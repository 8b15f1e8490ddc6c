import type { StripShape } from '../families/strip.js'
import { add, scale, shortest, subtract, zero, type Length } from '../length/length.js'
import type { PathMark, PathStep, Point } from './drawing.js'

/**
 * A rectangle with a curve out of the middle of its upper edge. A curve as deep as half its width is a half circle; a
 * deeper one goes straight down to it first. Nothing is taken where the curve has no width or no depth.
 */
export function scooped(
  whole: PathMark,
  { at: [x, y], width, scoop }: Required<Pick<StripShape, 'at' | 'width' | 'scoop'>>,
): PathMark {
  const wide = shortest(scoop.width, width)
  if (wide <= zero || scoop.depth <= zero) return whole
  const half = scale(wide, 1 / 2)
  const middle = add(x, scale(width, 1 / 2))
  const straight = scoop.depth > half ? subtract(scoop.depth, half) : zero
  const dip = subtract(scoop.depth, straight)
  const [from, to] = [subtract(middle, half), add(middle, half)]
  const low = add(y, straight)
  const radius = radiusOf(half, dip)
  const down = (end: Length): PathStep => ({ to: [end, low] as Point })
  const bottom: Point = [middle, add(low, dip)]
  return {
    ...whole,
    steps: [
      { to: [from, y] },
      ...(straight > zero ? [down(from)] : []),
      { to: bottom, radius, clockwise: false },
      { to: [to, low], radius, clockwise: false },
      ...(straight > zero ? [{ to: [to, y] as Point }] : []),
      ...whole.steps,
    ],
  }
}

/** Of the circle through both ends of a chord and the point `dip` below its middle: (half² + dip²) / (2·dip). */
function radiusOf(half: Length, dip: Length): Length {
  return scale(half, (half / dip + dip / half) / 2)
}
