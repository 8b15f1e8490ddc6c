import { finishedFromCut, judgeFit, type Fit, type Sizes } from '../../fit/fit.js'
import type { Making } from '../../fit/making.js'
import { neededOverBook, neededRoundBook, noSlope, type Slope } from '../../fit/needed.js'
import { slipOnBands } from '../../fit/verdict.js'
import { add, scale, subtract, zero, type Length } from '../../length/length.js'
import { layerOf } from '../../material/layer.js'
import { partOfStandOff, standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import { deriveBoard } from '../../object/derive.js'
import { largestReading } from '../../object/reading.js'
import { because, totalOf, twice, type Reason } from '../../piece/reason.js'
import type { Side } from '../../piece/side.js'
import { bookMeasures, foldedBookEase, slopeOfPadding, wrapWithPockets } from '../book.js'
import type { Job } from '../contract.js'
import { byRule, easesOf, outerSides, settleNeed, sewnEdges } from '../sized.js'
import type { ResolvedOptions, TurnedFlapOptions } from './options.js'

/** The strip, what of it goes round the book, and what is left for each flap and each turn-in. */
export interface Body {
  readonly bulk: Length
  readonly flapBulk: Length
  /** What each edge loses to seam and turned edge; nothing where the strip is hemmed. */
  readonly edge: Length
  readonly width: Side
  readonly height: Side
  readonly flap: Length
  /** What stands over the fitted line at top and at bottom of a single layer. */
  readonly turnIn: Length
  readonly fitWidth: Fit
  readonly fitHeight: Fit
}

/**
 * The width is set on the closed book, so it always goes on: the flap takes what rounding or a rule adds. A single
 * layer is fitted in height too. Source: docs/craft.md, Cover with turned flaps.
 */
export function sizeBody(job: Job<TurnedFlapOptions>, options: ResolvedOptions): Body {
  const { object, stack, seam, inside } = job
  const single = options.construction === 'single'
  const bulk = standOff(stack)
  const turnedEdge = single ? zero : turnedEdgeLoss(stack, seam)
  const board = deriveBoard(object)
  const wrap = wrapWithPockets(object, inside)
  const high = largestReading(object, 'height') ?? zero
  const needed = {
    width: settleNeed(job, 'width', neededRoundBook(wrap, board, bulk), fittedOnBook),
    height: settleNeed(
      job,
      'height',
      neededOverBook(high, board, { bulk, ...overFlap(job, options, bulk) }),
      single ? fittedOnBook : {},
    ),
  }
  const around = fittedReasons(job, needed.width, 'width')
  const over = fittedReasons(job, needed.height, 'height')
  const { width, height } = outerSides(job, {
    computed: {
      width: [...around, ...endReasons(job, options, turnedEdge)],
      height: [...over, ...headReasons(job, options, turnedEdge)],
    },
    ruled: sizing => byRule(bookMeasures(object, 'wrap'), sizing),
  })
  const edge = single ? zero : add(seam, turnedEdge)
  const ends = single ? options.endHem : edge
  const fitted = { width: totalOf(around), height: totalOf(over) }
  const sewnHeight = single ? fitted.height : finishedFromCut(height.cut, seam, turnedEdge)
  const judge = (direction: 'width' | 'height', finished: Length, set: Partial<Sizes> = {}) =>
    judgeFit(direction, { needed: needed[direction], finished, ...set }, stack, slipOnBands)
  const setOnBook = { making: foldedOnBook, errs: settleNeed(job, 'width', wrap, fittedOnBook) }
  return {
    bulk,
    flapBulk: overFlap(job, options, bulk).flapBulk,
    edge,
    width,
    height,
    flap: subtract(scale(subtract(width.cut, fitted.width), 1 / 2), ends),
    turnIn: single ? scale(subtract(height.cut, fitted.height), 1 / 2) : zero,
    fitWidth: judge('width', fitted.width, single ? {} : setOnBook),
    fitHeight: judge('height', sewnHeight),
  }
}

/** No hand’s bias reaches what is fitted on the book itself. */
const fittedOnBook = { seams: 0, edges: 0 }

/** Two folds set on the closed book: its boards and the bulk are there already, only the wrap may be misread. */
const foldedOnBook: Making = { cutEdges: 0, seamLines: 0, foldLines: 2, takenUp: zero }

/**
 * The turned-back flap: the body’s own stack, without padding that ends at its fold, and how the body’s padding slopes
 * to the edge. A single layer is padded over its whole strip, as far as its turn-ins.
 */
function overFlap(
  job: Job<TurnedFlapOptions>,
  { construction, headTailTurn }: ResolvedOptions,
  bulk: Length,
): { readonly flapBulk: Length; readonly slope: Slope } {
  const { stack, seam, reckoning } = job
  if (reckoning === 'first') return { flapBulk: bulk, slope: noSlope }
  if (construction === 'single') return { flapBulk: bulk, slope: slopeOfPadding(job, headTailTurn) }
  const flapBulk = subtract(bulk, partOfStandOff(stack, layerOf(stack, 'padding')))
  return { flapBulk, slope: slopeOfPadding(job, seam) }
}

/** Need and ease, or the line that was found on the book. */
function fittedReasons(
  job: Job<TurnedFlapOptions>,
  needed: readonly Reason[],
  direction: 'width' | 'height',
): readonly Reason[] {
  const { options } = job
  const fitted = direction === 'width' ? options.fittedWidth : options.fittedHeight
  if (fitted !== undefined) return because(`${direction} as fitted on the book`, fitted)
  return [...needed, ...because('ease', easesOf(job, foldedBookEase())[direction])]
}

function endReasons(
  { seam }: Job<TurnedFlapOptions>,
  { construction, flapDepth, endHem }: ResolvedOptions,
  turnedEdge: Length,
): readonly Reason[] {
  const flaps = twice('flap', flapDepth)
  if (construction === 'single') return [...flaps, ...twice('end hem', endHem)]
  return [...flaps, ...sewnEdges(seam, turnedEdge)]
}

function headReasons(
  { seam }: Job<TurnedFlapOptions>,
  { construction, headTailTurn }: ResolvedOptions,
  turnedEdge: Length,
): readonly Reason[] {
  if (construction === 'single') return twice('turn-in at head and tail', headTailTurn)
  return sewnEdges(seam, turnedEdge)
}
