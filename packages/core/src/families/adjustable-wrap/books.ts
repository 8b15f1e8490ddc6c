import { neededOverBook, neededRoundBook } from '../../fit/needed.js'
import { add, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { deriveBoard, deriveInnerWidth, deriveWrap } from '../../object/derive.js'
import { largestReading, type CoveredObject } from '../../object/reading.js'
import { because, totalOf, type Reason } from '../../piece/reason.js'
import { defaultBookEase, slopeOfPadding } from '../book.js'
import type { Job, Served, ServedReason } from '../contract.js'
import { easesOf, settleNeed } from '../sized.js'
import type { AdjustableWrapOptions, ResolvedOptions } from './options.js'

type AnyJob = Job<AdjustableWrapOptions>

/** What of the cover goes round one book: Gₑ + B + π·s + ease. Source: docs/craft.md, Adjustable wrap. */
export function bodyOf(job: AnyJob, bulk: Length, object: CoveredObject): readonly Reason[] {
  const around = neededRoundBook(deriveWrap(object) ?? [], deriveBoard(object), bulk)
  return [
    // its free end takes up whatever the hand is out
    ...settleNeed(job, 'width', around, { seams: 0, edges: 0 }),
    ...because('pockets inside', job.inside),
    ...because('ease', easesOf(job, defaultBookEase()).width),
  ]
}

/** The book that takes the most cloth round it. */
export function largestBook(job: AnyJob, bulk: Length): CoveredObject {
  return job.objects.reduce((largest, object) =>
    totalOf(bodyOf(job, bulk, object)) > totalOf(bodyOf(job, bulk, largest)) ? object : largest,
  )
}

export function tallestBook({ objects }: AnyJob): CoveredObject {
  return objects.reduce((tallest, object) => (heightOf(object) > heightOf(tallest) ? object : tallest))
}

/** What a flap finds inside one board: ⅜ in less than its width. */
export function roomInBoard({ unit }: AnyJob, object: CoveredObject): Length {
  return subtract(deriveInnerWidth(object) ?? zero, customary(3 / 8, unit))
}

/** Where the strap begins behind the finished tip, and how wide it is. */
export function strapPlace({ unit, seam }: AnyJob, { taperAlong }: ResolvedOptions) {
  return {
    from: subtract(add(taperAlong, customary(1 / 2, unit)), seam),
    width: customary(3 / 2, unit),
  }
}

/** The free ends that keep the strap off the fold at the fore-edge: up to `near`, and from `far` on. */
export function strapLimits(job: AnyJob, options: ResolvedOptions) {
  const { from, width } = strapPlace(job, options)
  return { near: subtract(from, customary(1 / 4, job.unit)), far: add(from, width) }
}

export interface ServedBook extends Served {
  readonly found: Length
  readonly limit: Length
}

/** How each book is served by a cover of that finished width; limits forgive one step of the grid. */
export function serveBooks(
  job: AnyJob,
  options: ResolvedOptions,
  finished: { readonly width: Length; readonly bulk: Length },
): readonly ServedBook[] {
  const tallest = heightOf(tallestBook(job))
  return job.objects.map((object, index) => {
    const body = totalOf(bodyOf(job, finished.bulk, object))
    const free = subtract(subtract(finished.width, options.fixedFlap), body)
    const wrong = limitsOf(job, options, { object, free, tallest }).find(({ broken }) => broken)
    return {
      book: index + 1,
      free,
      found: wrong?.found ?? free,
      limit: wrong?.limit ?? free,
      ...(wrong && { reason: wrong.reason }),
    }
  })
}

interface Limit {
  readonly broken: boolean
  readonly reason: ServedReason
  readonly found: Length
  readonly limit: Length
}

function limitsOf(
  job: AnyJob,
  options: ResolvedOptions,
  {
    object,
    free,
    tallest,
  }: { readonly object: CoveredObject; readonly free: Length; readonly tallest: Length },
): readonly Limit[] {
  const { grid, unit } = job
  const room = roomInBoard(job, object)
  const lower = subtract(tallest, heightOf(object))
  const held = customary(1 / 2, unit)
  const { near: short, far: long } = strapLimits(job, options)
  const onFold = free > add(short, grid) && free < subtract(long, grid)
  return [
    {
      broken: free < subtract(options.grip, grid),
      reason: 'grip-too-short',
      found: free,
      limit: options.grip,
    },
    { broken: free > add(room, grid), reason: 'free-too-long', found: free, limit: room },
    {
      broken: options.fixedFlap > add(room, grid),
      reason: 'fixed-too-long',
      found: options.fixedFlap,
      limit: room,
    },
    { broken: lower > add(held, grid), reason: 'too-short', found: lower, limit: held },
    {
      broken: onFold,
      reason: 'strap-on-fold',
      found: free,
      limit: subtract(free, short) < subtract(long, free) ? short : long,
    },
  ]
}

/** What it needs over a book: its flaps are folds of the padded strip, and stand off like the body. */
export function neededOverTall(job: AnyJob, object: CoveredObject, bulk: Length): readonly Reason[] {
  const over = { bulk, flapBulk: bulk, slope: slopeOfPadding(job, job.seam) }
  return settleNeed(job, 'height', neededOverBook(heightOf(object), deriveBoard(object), over))
}

export function heightOf(object: CoveredObject): Length {
  return largestReading(object, 'height') ?? zero
}
