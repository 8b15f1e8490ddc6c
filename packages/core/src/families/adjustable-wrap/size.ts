import { finishedFromCut, judgeFit, type Fit } from '../../fit/fit.js'
import { slipOnBands } from '../../fit/verdict.js'
import type { Length } from '../../length/length.js'
import { standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import type { CoveredObject } from '../../object/reading.js'
import { because, becauseTried } from '../../piece/reason.js'
import { sideRoundedUp, type Side } from '../../piece/side.js'
import { defaultBookEase } from '../book.js'
import type { Job } from '../contract.js'
import { easesOf, sewnEdges } from '../sized.js'
import { bodyOf, greatestFreeEnd, largestBook, neededOverTall, tallestBook } from './books.js'
import type { AdjustableWrapOptions, ResolvedOptions } from './options.js'

export interface Body {
  readonly bulk: Length
  readonly turnedEdge: Length
  readonly width: Side
  readonly height: Side
  readonly finishedWidth: Length
  readonly largest: CoveredObject
  readonly fitHeight: Fit
}

/** Fixed flap, the largest book, free end; as high as the tallest needs. Source: docs/craft.md, Adjustable wrap. */
export function sizeBody(job: Job<AdjustableWrapOptions>, options: ResolvedOptions): Body {
  const { stack, seam, grid, sizing, told } = job
  const bulk = standOff(stack)
  const turnedEdge = turnedEdgeLoss(stack, seam)
  const largest = largestBook(job, bulk)
  const tallest = tallestBook(job)
  const allowances = sewnEdges(seam, turnedEdge)
  const free = job.options.freeFlap ?? greatestFreeEnd(job, options, largest)
  const width = sideRoundedUp(
    [
      ...because('fixed flap', options.fixedFlap),
      ...bodyOf(job, bulk, largest),
      ...because('free end', free),
      ...allowances,
    ],
    grid,
  )
  const needed = [...neededOverTall(tallest, bulk), ...becauseTried(told.height)]
  const ease = easesOf(sizing, defaultBookEase()).height
  const height = sideRoundedUp([...needed, ...because('ease', ease), ...allowances], grid)
  const finished = finishedFromCut(height.cut, seam, turnedEdge)
  return {
    bulk,
    turnedEdge,
    width,
    height,
    largest,
    finishedWidth: finishedFromCut(width.cut, seam, turnedEdge),
    fitHeight: judgeFit('height', { needed, finished }, stack, slipOnBands, {
      thing: job.objects.indexOf(tallest),
    }),
  }
}
