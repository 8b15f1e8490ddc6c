import type { Learnt, TypedHand } from '@snowdrift/core'

/** Fewer makes say nothing of how a hand scatters. */
const leastMakes = 2

/** The hand as a cover file says it: only what is sure; undefined where nothing is. */
export function learntHand({ seamBias, cutBias, seamScatter, cutScatter }: Learnt): TypedHand | undefined {
  const say = (mm: number) => `${mm.toFixed(2)} mm`
  const hand = {
    ...(seamBias.used && { seamBias: say(seamBias.value) }),
    ...(cutBias.used && { cutBias: say(cutBias.value) }),
    ...(seamBias.makes >= leastMakes && { seamScatter: say(seamScatter.value) }),
    ...(cutBias.makes >= leastMakes && { cutScatter: say(cutScatter.value) }),
  }
  return Object.keys(hand).length > 0 ? hand : undefined
}
