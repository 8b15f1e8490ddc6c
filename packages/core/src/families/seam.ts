import { add, scale, type Length } from '../length/length.js'
import { layerOf, outerOf, type Stack } from '../material/layer.js'
import type { FlapStyle } from '../piece/flap.js'
import type { SeamBulk } from './contract.js'

/** The plies that a seam of this width catches: every layer that does not end inside it. */
export function caughtIn(stack: Stack, seam: Length): Length {
  return add(...stack.filter(({ inset }) => inset < seam).map(({ thickness }) => thickness))
}

export function seamBulk(name: string, ...thickness: readonly Length[]): SeamBulk {
  return { name, thickness: add(...thickness) }
}

/** The plies of a flap sewn on: the outer twice where it is folded, outer and lining where it is faced. */
export function flapPlies(stack: Stack, style: FlapStyle): Length {
  const { thickness } = outerOf(stack)
  const lining = layerOf(stack, 'lining')
  return style === 'folded' || !lining ? scale(thickness, 2) : add(thickness, lining.thickness)
}
