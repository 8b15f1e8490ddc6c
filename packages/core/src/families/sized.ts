import type { ComputedSizing, RuleSizing } from '../fit/sizing.js'
import type { Length } from '../length/length.js'
import { because, twice, type Reason } from '../piece/reason.js'

/** Something of the width and of the height. */
export interface BothWays<Value> {
  readonly width: Value
  readonly height: Value
}

/** The ease each way, as set or as usual; a rule sets none, so that what it is asked for is the usual. */
export function easesOf(sizing: ComputedSizing | RuleSizing, usual: BothWays<Length>): BothWays<Length> {
  if (sizing.mode === 'rule') return usual
  return { width: sizing.easeWidth ?? usual.width, height: sizing.easeHeight ?? usual.height }
}

/** What goes into the seams at both ends of a side that is sewn and turned. */
export function sewnEdges(seam: Length, turnedEdge: Length): readonly Reason[] {
  return [...twice('seam', seam), ...twice('turned edge', turnedEdge)]
}

/** What a rule cuts by: what was measured, and its amount. */
export function byRule(
  measured: BothWays<readonly Reason[]>,
  { addWidth, addHeight }: Pick<RuleSizing, 'addWidth' | 'addHeight'>,
): BothWays<readonly Reason[]> {
  return {
    width: [...measured.width, ...because('added by the rule', addWidth)],
    height: [...measured.height, ...because('added by the rule', addHeight)],
  }
}
