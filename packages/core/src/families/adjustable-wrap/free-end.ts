import { roundDownToGrid, roundUpToGrid } from '../../length/grid.js'
import { add, longest, scale, shortest, subtract, zero, type Length } from '../../length/length.js'
import { totalOf } from '../../piece/reason.js'
import type { CoveredObject } from '../../object/reading.js'
import type { Job } from '../contract.js'
import { bodyOf, roomInBoard, serveBooks, strapLimits, type ServedBook } from './books.js'
import type { AdjustableWrapOptions, ResolvedOptions } from './options.js'

type AnyJob = Job<AdjustableWrapOptions>

/** What is settled before the free end is: the bulk, the largest book, and what both ends lose to their seams. */
export interface Around {
  readonly bulk: Length
  readonly largest: CoveredObject
  readonly allowances: Length
}

/**
 * The free end where nobody sets it: of one book midway between the grip and the strap; of several, what serves the
 * most of them and keeps farthest from every limit, the shorter of equals. Source: docs/craft.md, Adjustable wrap.
 */
export function usualFreeEnd(job: AnyJob, options: ResolvedOptions, around: Around): Length {
  const room = longest(zero, roomInBoard(job, around.largest))
  if (job.reckoning === 'first') return greatestFreeEnd(job, options, room)
  const { near } = strapLimits(job, options)
  if (job.objects.length === 1 && near >= options.grip)
    return shortest(room, roundDownToGrid(scale(add(options.grip, near), 1 / 2), job.grid))
  const [best] = weighFreeEnds(job, options, around)
  return best?.free ?? shortest(room, options.grip)
}

/** A free end of the largest book, and what comes of it. */
export interface WeighedEnd {
  readonly free: Length
  readonly served: number
  /** How far the books that are served keep from every limit. */
  readonly margin: Length
}

/** Every free end on the grid between the grip and what the largest book takes, the best first. */
export function weighFreeEnds(job: AnyJob, options: ResolvedOptions, around: Around): readonly WeighedEnd[] {
  const { grid } = job
  const last = roomInBoard(job, around.largest)
  const ends: WeighedEnd[] = []
  for (let free = roundUpToGrid(options.grip, grid); free <= last; free = add(free, grid)) {
    const books = serveWith(job, options, around, free)
    const served = books.filter(({ reason }) => reason === undefined)
    ends.push({ free, served: served.length, margin: marginOf(job, options, served) })
  }
  return ends.toSorted(
    (one, other) => other.served - one.served || other.margin - one.margin || one.free - other.free,
  )
}

/** How each book is served by a cover cut for that free end, rounded to the grid. */
function serveWith(
  job: AnyJob,
  options: ResolvedOptions,
  { bulk, largest, allowances }: Around,
  free: Length,
): readonly ServedBook[] {
  const body = totalOf(bodyOf(job, bulk, largest))
  const cut = roundUpToGrid(add(options.fixedFlap, body, free, allowances), job.grid)
  return serveBooks(job, options, { width: subtract(cut, allowances), bulk })
}

/** The least that any of the books has left to its limits. */
function marginOf(job: AnyJob, options: ResolvedOptions, served: readonly ServedBook[]): Length {
  const { near, far } = strapLimits(job, options)
  const margins = served.map(({ book, free }) => {
    const object = job.objects[book - 1] ?? job.object
    return shortest(
      subtract(free, options.grip),
      subtract(roomInBoard(job, object), free),
      longest(subtract(near, free), subtract(free, far)),
    )
  })
  const [first, ...others] = margins
  return first === undefined ? zero : shortest(first, ...others)
}

/** As it was reckoned first: as much as the largest board takes, clear of the strap. */
function greatestFreeEnd(job: AnyJob, options: ResolvedOptions, room: Length): Length {
  const { near, far } = strapLimits(job, options)
  return room >= far ? room : shortest(room, longest(zero, near))
}
