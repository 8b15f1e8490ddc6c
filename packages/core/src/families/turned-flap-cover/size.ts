import { finishedFromCut, judgeFit, type Fit, type Sizes } from '../../fit/fit.js'
import type { Making } from '../../fit/making.js'
import { neededOverBook, neededRoundBook } from '../../fit/needed.js'
import { slipOnBands } from '../../fit/verdict.js'
import { add, scale, subtract, zero, type Length } from '../../length/length.js'
import { standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import { deriveBoard } from '../../object/derive.js'
import { largestReading } from '../../object/reading.js'
import { because, becauseTried, totalOf, twice, type Reason } from '../../piece/reason.js'
import { sideRoundedUp, type Side } from '../../piece/side.js'
import { bookMeasures, defaultBookEase, wrapWithPockets } from '../book.js'
import type { Job } from '../contract.js'
import { byRule, easesOf, sewnEdges } from '../sized.js'
import type { ResolvedOptions, TurnedFlapOptions } from './options.js'

/** The strip, what of it goes round the book, and what is left for each flap and each turn-in. */
export interface Body {
  readonly bulk: Length
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
  const { object, stack, seam, grid, inside, told } = job
  const single = options.construction === 'single'
  const bulk = standOff(stack)
  const turnedEdge = single ? zero : turnedEdgeLoss(stack, seam)
  const board = deriveBoard(object)
  const wrap = wrapWithPockets(object, inside)
  const high = largestReading(object, 'height') ?? zero
  const needed = {
    width: [...neededRoundBook(wrap, board, bulk), ...becauseTried(told.width)],
    height: [...neededOverBook(high, board, bulk, bulk), ...becauseTried(told.height)],
  }
  const around = fittedReasons(job, needed.width, 'width')
  const over = fittedReasons(job, needed.height, 'height')
  const width = sideRoundedUp(cutReasons(job, 'width', around, endReasons(job, options, turnedEdge)), grid)
  const height = sideRoundedUp(cutReasons(job, 'height', over, headReasons(job, options, turnedEdge)), grid)
  const edge = single ? zero : add(seam, turnedEdge)
  const ends = single ? options.endHem : edge
  const fitted = { width: totalOf(around), height: totalOf(over) }
  const sewnHeight = single ? fitted.height : finishedFromCut(height.cut, seam, turnedEdge)
  const judge = (direction: 'width' | 'height', finished: Length, set: Partial<Sizes> = {}) =>
    judgeFit(direction, { needed: needed[direction], finished, ...set }, stack, slipOnBands)
  const setOnBook = { making: foldedOnBook, errs: [...wrap, ...becauseTried(told.width)] }
  return {
    bulk,
    edge,
    width,
    height,
    flap: subtract(scale(subtract(width.cut, fitted.width), 1 / 2), ends),
    turnIn: single ? scale(subtract(height.cut, fitted.height), 1 / 2) : zero,
    fitWidth: judge('width', fitted.width, single ? {} : setOnBook),
    fitHeight: judge('height', sewnHeight),
  }
}

/** Two folds set on the closed book: its boards and the bulk are there already, only the wrap may be misread. */
const foldedOnBook: Making = { cutEdges: 0, seamLines: 0, foldLines: 2, takenUp: zero }

/** Need and ease, or the line that was found on the book. */
function fittedReasons(
  { sizing, options }: Job<TurnedFlapOptions>,
  needed: readonly Reason[],
  direction: 'width' | 'height',
): readonly Reason[] {
  const fitted = direction === 'width' ? options.fittedWidth : options.fittedHeight
  if (fitted !== undefined) return because(`${direction} as fitted on the book`, fitted)
  return [...needed, ...because('ease', easesOf(sizing, defaultBookEase())[direction])]
}

function cutReasons(
  { object, sizing }: Job<TurnedFlapOptions>,
  direction: 'width' | 'height',
  fitted: readonly Reason[],
  ends: readonly Reason[],
): readonly Reason[] {
  if (sizing.mode === 'computed') return [...fitted, ...ends]
  return byRule(bookMeasures(object, 'wrap'), sizing)[direction]
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
