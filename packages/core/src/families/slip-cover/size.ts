import { finishedFromCut, judgeFit, type Fit } from '../../fit/fit.js'
import { neededOverBook, neededRoundBook } from '../../fit/needed.js'
import { slipOnBands } from '../../fit/verdict.js'
import { zero, type Length } from '../../length/length.js'
import { flapStandOff, standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import { deriveBoard } from '../../object/derive.js'
import { largestReading } from '../../object/reading.js'
import { because, type Reason } from '../../piece/reason.js'
import type { Side } from '../../piece/side.js'
import { bookMeasures, defaultBookEase, slopeOfPadding, wrapWithPockets } from '../book.js'
import type { Job } from '../contract.js'
import { flapPliesOf } from '../flap-plies.js'
import { byRule, easesOf, outerSides, settleNeed, sewnEdges, type BothWays } from '../sized.js'
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
  const { object, stack, seam, inside } = job
  const bulk = standOff(stack)
  const flapBulk = flapStandOff(flapPliesOf(job, flapStyle))
  const slope = slopeOfPadding(job, seam)
  const turnedEdge = turnedEdgeLoss(stack, seam)
  const board = deriveBoard(object)
  const high = largestReading(object, 'height') ?? zero
  const needed = {
    width: settleNeed(job, 'width', neededRoundBook(wrapWithPockets(object, inside), board, bulk)),
    height: settleNeed(job, 'height', neededOverBook(high, board, { bulk, flapBulk, slope })),
  }
  const { width, height } = outerSides(job, {
    computed: computedCut(job, needed, turnedEdge),
    ruled: sizing => byRule(bookMeasures(object, sizing.measure), sizing),
  })
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

function computedCut(
  job: Job<SlipCoverOptions>,
  needed: BothWays<readonly Reason[]>,
  turnedEdge: Length,
): BothWays<readonly Reason[]> {
  const ease = easesOf(job, defaultBookEase())
  const edges = sewnEdges(job.seam, turnedEdge)
  return {
    width: [...needed.width, ...because('ease', ease.width), ...edges],
    height: [...needed.height, ...because('ease', ease.height), ...edges],
  }
}
