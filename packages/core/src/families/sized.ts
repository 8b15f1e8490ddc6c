import type { Direction } from '../finding/finding.js'
import { becauseOfHand, type HandsTurns } from '../fit/cover-hand.js'
import type { ComputedSizing, RuleSizing, SettledSizing } from '../fit/sizing.js'
import { scale, subtract, type Length } from '../length/length.js'
import { because, becauseTried, twice, type Reason } from '../piece/reason.js'
import { sideAsCut, sideRoundedUp, type Side } from '../piece/side.js'
import type { Job } from './contract.js'

/** Something of the width and of the height. */
export interface BothWays<Value> {
  readonly width: Value
  readonly height: Value
}

/**
 * The ease each way: as set, as an old cover has it that its maker likes, or as usual. A rule sets none, so that what
 * it is asked for is the usual.
 */
export function easesOf(
  { sizing, old }: Pick<Job<unknown>, 'sizing' | 'old'>,
  usual: BothWays<Length>,
): BothWays<Length> {
  const set: Partial<ComputedSizing> = sizing.mode === 'computed' ? sizing : {}
  return {
    width: set.easeWidth ?? old.width?.ease ?? usual.width,
    height: set.easeHeight ?? old.height?.ease ?? usual.height,
  }
}

/** How a size comes about: its like halves that share told and ease, its seam lines and cut edges. */
interface Made extends HandsTurns {
  readonly parts: number
}

/**
 * What is needed in one direction: what the readings come to and what a trial piece told beside them, or what an old
 * cover shows that fits; and what the hand that makes it takes away beside that.
 */
export function settleNeed(
  { old, told, hand }: Pick<Job<unknown>, 'old' | 'told' | 'hand'>,
  direction: Direction,
  reckoned: readonly Reason[],
  { parts = 1, seams = 2, edges = 2 }: Partial<Made> = {},
): readonly Reason[] {
  const byHand = becauseOfHand(hand, { seams, edges })
  const size = old[direction]
  const more = told[direction]
  if (!size)
    return [...reckoned, ...becauseTried(more === undefined ? undefined : scale(more, parts)), ...byHand]
  return [
    {
      label: 'an old cover that fits, less its ease',
      length: subtract(size.finished, scale(size.ease, parts)),
      cause: { kind: 'trial' },
    },
    ...byHand,
  ]
}

/** What goes into the seams at both ends of a side that is sewn and turned. */
export function sewnEdges(seam: Length, turnedEdge: Length): readonly Reason[] {
  return [...twice('seam', seam), ...twice('turned edge', turnedEdge)]
}

/** What is gone of each side once it is sewn and turned. */
export function takenFrom(cut: BothWays<Side>, finished: BothWays<Length>): BothWays<Length> {
  return {
    width: subtract(cut.width.cut, finished.width),
    height: subtract(cut.height.cut, finished.height),
  }
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

/** How each way of sizing finds the sides of the outer. */
export interface Ways {
  readonly computed: BothWays<readonly Reason[]>
  /** What a rule gives; left out where none has a meaning, and the size stays computed. */
  readonly ruled?: (sizing: RuleSizing) => BothWays<readonly Reason[]>
}

/** Both sides of the outer: computed or by rule, up to the grid; or as it is cut already, wherever the grid lies. */
export function outerSides(
  { sizing, grid }: { readonly sizing: SettledSizing; readonly grid: Length },
  { computed, ruled }: Ways,
): BothWays<Side> {
  if (sizing.mode === 'cut')
    return {
      width: sideAsCut('width as it is cut already', sizing.width),
      height: sideAsCut('height as it is cut already', sizing.height),
    }
  const { width, height } = sizing.mode === 'rule' && ruled ? ruled(sizing) : computed
  return { width: sideRoundedUp(width, grid), height: sideRoundedUp(height, grid) }
}
