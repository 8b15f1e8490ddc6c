import { scale, subtract, toMm, zero, type Length } from '../length/length.js'
import { because, less, type Reason } from '../piece/reason.js'
import { usualHand, type Hand } from './simulation/hand.js'

/** How the hand that makes a cover errs, as its makes have told; what is not known is as usual. */
export interface CoverHand {
  /** How much wider than meant a seam line comes out; less than nothing for narrow ones. */
  readonly seamBias?: Length
  /** How much larger than meant it cuts, by edge. */
  readonly cutBias?: Length
  /** Standard deviations of a seam line and of a cut edge. */
  readonly seamScatter?: Length
  readonly cutScatter?: Length
}

/** How often a hand’s turn counts in one direction. */
export interface HandsTurns {
  readonly seams: number
  readonly edges: number
}

/**
 * What a size needs beyond its reckoning because the hand that makes it errs to one side: wide seams take it away again,
 * large cutting brings it. Source: docs/craft.md, What makes tell.
 */
export function becauseOfHand(hand: CoverHand | undefined, { seams, edges }: HandsTurns): readonly Reason[] {
  const { seamBias = zero, cutBias = zero } = hand ?? {}
  return [
    ...because('your seams come out wide', scale(shown(seamBias, 1), seams)),
    ...less('your seams come out narrow', scale(shown(seamBias, -1), seams)),
    ...less('you cut a little large', scale(shown(cutBias, 1), edges)),
    ...because('you cut a little small', scale(shown(cutBias, -1), edges)),
  ]
}

/** As much of it as goes to that side. */
function shown(bias: Length, side: 1 | -1): Length {
  const toSide = side === 1 ? bias : subtract(zero, bias)
  return toSide > zero ? toSide : zero
}

/** The hand as the simulation has it: biases stand in the plan already. */
export function handOf({ hand }: { readonly hand?: CoverHand }): Hand {
  return {
    ...usualHand,
    ...(hand?.cutScatter !== undefined && { edgeMm: toMm(hand.cutScatter) }),
    ...(hand?.seamScatter !== undefined && { lineMm: toMm(hand.seamScatter) }),
  }
}
