import { add, mm, scale, zero, type Length } from '../length/length.js'
import { layerOf, outerOf, type Stack } from './layer.js'
import { pressedThickness } from './material.js'

/**
 * How far the middle of the outer cloth stands off the object ("bulk underneath" on screen): every inner ply
 * pressed, and half the outer. Source: docs/craft.md, The layer stack.
 */
export function standOff(stack: Stack): Length {
  const outer = outerOf(stack)
  const inner = stack.filter(layer => layer !== outer).map(pressedThickness)
  return add(...inner, scale(outer.thickness, 1 / 2))
}

/** The same for a flap of doubled outer cloth, counted from the board. */
export function foldedFlapStandOff(stack: Stack): Length {
  const outer = outerOf(stack)
  return add(pressedThickness(outer), scale(outer.thickness, 1 / 2))
}

/** The same for a flap of outer cloth faced with lining; without a lining the facing is no ply. */
export function facedFlapStandOff(stack: Stack): Length {
  const lining = layerOf(stack, 'lining')
  return add(lining ? pressedThickness(lining) : zero, scale(outerOf(stack).thickness, 1 / 2))
}

/** What two right-angled outside corners cost the outer ply: π·s, half of it at each. */
export function turnOfCloth(bulk: Length): Length {
  return scale(bulk, Math.PI)
}

/**
 * What the fold itself takes on each side of a seam that is turned right side out: 0.5 mm, 1 mm where the outer is
 * over 0.6 mm thick, 1 mm more where padding is caught in the seam. Source: docs/craft.md, The layer stack.
 */
export function turnedEdgeLoss(stack: Stack, seam: Length): Length {
  const padding = layerOf(stack, 'padding')
  const fold = outerOf(stack).thickness > mm(0.6) ? mm(1) : mm(0.5)
  return padding && padding.inset < seam ? add(fold, mm(1)) : fold
}
