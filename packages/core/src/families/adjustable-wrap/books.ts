import { neededOverBook, neededRoundBook } from '../../fit/needed.js'
import { add, longest, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { deriveBoard, deriveInnerWidth, deriveWrap } from '../../object/derive.js'
import { largestReading, type CoveredObject } from '../../object/reading.js'
import { because, becauseTried, totalOf, type Reason } from '../../piece/reason.js'
import { defaultBookEase } from '../book.js'
import type { Job, Served, ServedReason } from '../contract.js'
import { easesOf } from '../sized.js'
import type { AdjustableWrapOptions, ResolvedOptions } from './options.js'

type AnyJob = Job<AdjustableWrapOptions>

/** What of the cover goes round one book: Gₑ + B + π·s + ease. Source: docs/craft.md, Adjustable wrap. */
export function bodyOf(
  { sizing, inside, told }: AnyJob,
  bulk: Length,
  object: CoveredObject,
): readonly Reason[] {
  return [
    ...neededRoundBook(deriveWrap(object) ?? [], deriveBoard(object), bulk),
    ...becauseTried(told.width),
    ...because('pockets inside', inside),
    ...because('ease', easesOf(sizing, defaultBookEase()).width),
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

/** The greatest free end that fits in the largest book’s board and keeps the strap off the fold. */
export function greatestFreeEnd(job: AnyJob, options: ResolvedOptions, largest: CoveredObject): Length {
  const room = roomInBoard(job, largest)
  const { from, width } = strapPlace(job, options)
  if (room >= add(from, width)) return room
  const short = subtract(from, customary(1 / 4, job.unit))
  return room < short ? room : longest(zero, short)
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
  const { from, width } = strapPlace(job, options)
  const short = subtract(from, customary(1 / 4, unit))
  const long = add(from, width)
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
    { broken: lower > add(held, grid), reason: 'too-low', found: lower, limit: held },
    {
      broken: onFold,
      reason: 'strap-on-fold',
      found: free,
      limit: subtract(free, short) < subtract(long, free) ? short : long,
    },
  ]
}

export function neededOverTall(object: CoveredObject, bulk: Length): readonly Reason[] {
  return neededOverBook(heightOf(object), deriveBoard(object), bulk, bulk)
}

export function heightOf(object: CoveredObject): Length {
  return largestReading(object, 'height') ?? zero
}
