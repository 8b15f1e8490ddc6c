import { finishedFromCut, judgeFit, type Fit } from '../../fit/fit.js'
import { slipOnBands } from '../../fit/verdict.js'
import { zero, type Length } from '../../length/length.js'
import { standOff, turnedEdgeLoss } from '../../material/stand-off.js'
import type { CoveredObject } from '../../object/reading.js'
import { because, totalOf } from '../../piece/reason.js'
import type { Side } from '../../piece/side.js'
import { bookMeasures, defaultBookEase } from '../book.js'
import type { Job } from '../contract.js'
import { byRule, easesOf, outerSides, sewnEdges } from '../sized.js'
import { bodyOf, largestBook, neededOverTall, tallestBook } from './books.js'
import { usualFreeEnd } from './free-end.js'
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
  const { stack, seam, sizing } = job
  const bulk = standOff(stack)
  const turnedEdge = turnedEdgeLoss(stack, seam)
  const largest = largestBook(job, bulk)
  const tallest = tallestBook(job)
  const edges = sewnEdges(seam, turnedEdge)
  const around = { bulk, largest, allowances: totalOf(edges) }
  const free = sizing.mode === 'cut' ? zero : (job.options.freeFlap ?? usualFreeEnd(job, options, around))
  const strip = [
    ...because('fixed flap', options.fixedFlap),
    ...bodyOf(job, bulk, largest),
    ...because('free end', free),
    ...edges,
  ]
  const needed = neededOverTall(job, tallest, bulk)
  const { width, height } = outerSides(job, {
    computed: {
      width: strip,
      height: [...needed, ...because('ease', easesOf(job, defaultBookEase()).height), ...edges],
    },
    ruled: rule => ({ width: strip, height: byRule(bookMeasures(tallest, 'wrap'), rule).height }),
  })
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
