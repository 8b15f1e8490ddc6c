import { add, negate, scale, zero, type Length } from '../length/length.js'
import type { PathStep, Point } from './drawing.js'

/**
 * Half the angle of a rounded spine. An arc of 1.07 times its chord has θ/sin θ = 1.07, which θ = 0.634 solves to the
 * third decimal. Source: docs/craft.md, Derived sizes.
 */
const halfAngle = 0.634

/**
 * From above the front board round the spine to below the back board, `offset` away from the block everywhere: a
 * corner, the spine, a corner. Starts at (0, −offset), ends at (0, thickness + offset).
 */
export function goDown(offset: Length, thickness: Length, rounded: boolean): readonly PathStep[] {
  return [
    turn(offset, above(offset, rounded), false),
    spine(offset, below(offset, thickness, rounded), thickness, rounded, false),
    turn(offset, [zero, add(thickness, offset)], false),
  ]
}

/** The same way back. */
export function goUp(offset: Length, thickness: Length, rounded: boolean): readonly PathStep[] {
  return [
    turn(offset, below(offset, thickness, rounded), true),
    spine(offset, above(offset, rounded), thickness, rounded, true),
    turn(offset, [zero, negate(offset)], true),
  ]
}

/** Where the front corner ends and the spine begins: square to the spine, which leans where it is rounded. */
function above(offset: Length, rounded: boolean): Point {
  if (!rounded) return [negate(offset), zero]
  return [scale(offset, -Math.cos(halfAngle)), scale(offset, -Math.sin(halfAngle))]
}

function below(offset: Length, thickness: Length, rounded: boolean): Point {
  const [x, y] = above(offset, rounded)
  return [x, add(thickness, negate(y))]
}

function turn(radius: Length, to: Point, clockwise: boolean): PathStep {
  return radius > zero ? { to, radius, clockwise } : { to }
}

function spine(offset: Length, to: Point, thickness: Length, rounded: boolean, clockwise: boolean): PathStep {
  if (!rounded || thickness <= zero) return { to }
  return { to, radius: add(scale(thickness, 1 / (2 * Math.sin(halfAngle))), offset), clockwise }
}
