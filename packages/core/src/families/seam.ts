import { add, type Length } from '../length/length.js'
import { wallOf, type Stack } from '../material/layer.js'
import type { SeamBulk } from './contract.js'

/** The plies that a seam of this width catches: every layer that does not end inside it. */
export function caughtIn(stack: Stack, seam: Length): Length {
  return add(
    ...wallOf(stack)
      .filter(({ inset }) => inset < seam)
      .map(({ thickness }) => thickness),
  )
}

export function seamBulk(name: string, ...thickness: readonly Length[]): SeamBulk {
  return { name, thickness: add(...thickness) }
}
