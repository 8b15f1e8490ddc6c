import { finishedFromCut, judgeFit, type Fit } from '../../fit/fit.js'
import { neededOverBook, neededRoundBook } from '../../fit/needed.js'
import { slipOnBands } from '../../fit/verdict.js'
import { zero, type Length } from '../../length/length.js'
import { facedFlapStandOff, foldedFlapStandOff, standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import { deriveBoard } from '../../object/derive.js'
import { largestReading } from '../../object/reading.js'
import { because, becauseTried, twice, type Reason } from '../../piece/reason.js'
import { sideRoundedUp, type Side } from '../../piece/side.js'
import { bookEase, wrapWithPockets } from '../book.js'
import type { Job } from '../contract.js'
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
  const neededWidth = [
    ...neededRoundBook(wrapWithPockets(object, inside), board, bulk),
    ...becauseTried(told.width),
  ]
  const neededHeight = [...neededOverBook(high, board, bulk, flapBulk), ...becauseTried(told.height)]
  const cuts = cutReasons(job, neededWidth, neededHeight, turnedEdge)
  const width = sideRoundedUp(cuts.width, grid)
  const height = sideRoundedUp(cuts.height, grid)
  const fit = (direction: 'width' | 'height', side: Side, needed: readonly Reason[]) => {
    const finished = finishedFromCut(side.cut, seam, turnedEdge)
    return judgeFit(direction, { needed, finished }, stack, slipOnBands)
  }
  return {
    bulk,
    flapBulk,
    turnedEdge,
    width,
    height,
    fitWidth: fit('width', width, neededWidth),
    fitHeight: fit('height', height, neededHeight),
  }
}

interface Reasons {
  readonly width: readonly Reason[]
  readonly height: readonly Reason[]
}

function cutReasons(
  { object, sizing, seam }: Job<SlipCoverOptions>,
  neededWidth: readonly Reason[],
  neededHeight: readonly Reason[],
  turnedEdge: Length,
): Reasons {
  if (sizing.mode === 'computed') {
    const allowances = [...twice('seam', seam), ...twice('turned edge', turnedEdge)]
    return {
      width: [...neededWidth, ...because('ease', sizing.easeWidth ?? bookEase), ...allowances],
      height: [...neededHeight, ...because('ease', sizing.easeHeight ?? bookEase), ...allowances],
    }
  }
  const open = sizing.measure === 'open' ? largestReading(object, 'openWidth') : undefined
  const measured =
    open === undefined ? wrapWithPockets(object, zero) : because('open width of the book', open)
  return {
    width: [...measured, ...because('added by the rule', sizing.addWidth)],
    height: [
      ...because('height of the book', largestReading(object, 'height') ?? zero),
      ...because('added by the rule', sizing.addHeight),
    ],
  }
}
