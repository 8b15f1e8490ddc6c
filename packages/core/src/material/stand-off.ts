import { add, mm, scale, type Length } from '../length/length.js'
import { layerOf, outerOf, wallOf, type Layer, type Stack } from './layer.js'
import { pressedThickness, type Material } from './material.js'

/**
 * How far the middle of the outer cloth stands off the object ("bulk underneath" on screen): every inner ply
 * pressed, and half the outer. Source: docs/craft.md, The layer stack.
 */
export function standOff(stack: Stack): Length {
  const outer = outerOf(stack)
  const inner = wallOf(stack)
    .filter(layer => layer !== outer)
    .map(pressedThickness)
  return add(...inner, scale(outer.thickness, 1 / 2))
}

/** What a flap is made of: the cloth that is seen, what it is faced with, and what lies behind it. */
export interface FlapPlies {
  readonly style: 'folded' | 'faced'
  readonly outer: Material
  /** Of a faced flap; without a lining the facing is no ply. */
  readonly facing?: Material
  readonly backings: readonly Material[]
}

/** The stand-off of a flap, counted from the board: its inner ply and its backings pressed, and half the outer. */
export function flapStandOff({ style, outer, facing, backings }: FlapPlies): Length {
  const inner = style === 'folded' ? outer : facing
  return add(...[...(inner ? [inner] : []), ...backings].map(pressedThickness), scale(outer.thickness, 1 / 2))
}

/** The same of the lined cloth of a gusset. */
export function linedStandOff(stack: Stack): Length {
  const facing = layerOf(stack, 'lining')
  return flapStandOff({ style: 'faced', outer: outerOf(stack), ...(facing && { facing }), backings: [] })
}

/** What of a stand-off a layer makes, as often as it lies in the wall. */
export function partOfStandOff(stack: Stack, layer: Layer | undefined): Length {
  return add(
    ...wallOf(stack)
      .filter(ply => ply === layer)
      .map(pressedThickness),
  )
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
