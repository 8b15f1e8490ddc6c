import { finishedFromCut, judgeFit, type Fit } from '../../fit/fit.js'
import { neededOverBook, neededRoundBook } from '../../fit/needed.js'
import { slipOnBands } from '../../fit/verdict.js'
import { zero, type Length } from '../../length/length.js'
import { facedFlapStandOff, foldedFlapStandOff, standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import { deriveBoard } from '../../object/derive.js'
import { largestReading } from '../../object/reading.js'
import { because, becauseTried, type Reason } from '../../piece/reason.js'
import { sideRoundedUp, type Side } from '../../piece/side.js'
import { bookMeasures, defaultBookEase, wrapWithPockets } from '../book.js'
import type { Job } from '../contract.js'
import { byRule, easesOf, sewnEdges, type BothWays } from '../sized.js'
import type { ResolvedOptions, SlipCoverOptions } from './options.js'

/** The body of the cover: both sides of its panel, how it fits, and the bulk that decided it. */
export interface Body {
  readonly bulk: Length
  readonly flapBulk: Length
  readonly turnedEdge: Length
  readonly width: Side
  readonly height: Side
  readonly fitWidth: Fit
  readonly fitHeight: Fit
}

/** Sizes the body, computed or by rule. Source: docs/craft.md, Slip-on cover, separate flaps. */
export function sizeBody(job: Job<SlipCoverOptions>, { flapStyle }: ResolvedOptions): Body {
  const { object, stack, seam, grid, inside, told } = job
  const bulk = standOff(stack)
  const flapBulk = flapStyle === 'folded' ? foldedFlapStandOff(stack) : facedFlapStandOff(stack)
  const turnedEdge = turnedEdgeLoss(stack, seam)
  const board = deriveBoard(object)
  const high = largestReading(object, 'height') ?? zero
  const needed = {
    width: [...neededRoundBook(wrapWithPockets(object, inside), board, bulk), ...becauseTried(told.width)],
    height: [...neededOverBook(high, board, bulk, flapBulk), ...becauseTried(told.height)],
  }
  const cuts = cutReasons(job, needed, turnedEdge)
  const width = sideRoundedUp(cuts.width, grid)
  const height = sideRoundedUp(cuts.height, grid)
  const fit = (direction: 'width' | 'height', side: Side) => {
    const finished = finishedFromCut(side.cut, seam, turnedEdge)
    return judgeFit(direction, { needed: needed[direction], finished }, stack, slipOnBands)
  }
  return {
    bulk,
    flapBulk,
    turnedEdge,
    width,
    height,
    fitWidth: fit('width', width),
    fitHeight: fit('height', height),
  }
}

function cutReasons(
  { object, sizing, seam }: Job<SlipCoverOptions>,
  needed: BothWays<readonly Reason[]>,
  turnedEdge: Length,
): BothWays<readonly Reason[]> {
  if (sizing.mode === 'rule') return byRule(bookMeasures(object, sizing.measure), sizing)
  const ease = easesOf(sizing, defaultBookEase())
  const edges = sewnEdges(seam, turnedEdge)
  return {
    width: [...needed.width, ...because('ease', ease.width), ...edges],
    height: [...needed.height, ...because('ease', ease.height), ...edges],
  }
}
