import type { Repair } from '../../finding/repair.js'
import { roundDownToGrid, roundUpToGrid } from '../../length/grid.js'
import { absolute, add, mm, shortest, subtract, type Length } from '../../length/length.js'
import { totalOf } from '../../piece/reason.js'
import type { Job } from '../contract.js'
import { bodyOf, roomInBoard, serveBooks } from './books.js'
import type { AdjustableWrapOptions, ResolvedOptions } from './options.js'
import type { Body } from './size.js'

type AnyJob = Job<AdjustableWrapOptions>

/**
 * What would let the cover serve more of its books: another free end, where one does; else a shorter fixed flap, where
 * that is what is in the way. Undefined where no single size helps.
 */
export function serveMore(job: AnyJob, options: ResolvedOptions, body: Body): Repair | undefined {
  const free = betterFreeEnd(job, options, body)
  if (free !== undefined) return { kind: 'set-option', option: 'freeFlap', name: 'free end', length: free }
  const rooms = job.objects.map(object => roomInBoard(job, object))
  const fixed = roundDownToGrid(shortest(options.fixedFlap, ...rooms), job.grid)
  if (fixed >= options.fixedFlap || fixed < mm(20)) return undefined
  return { kind: 'set-option', option: 'fixedFlap', name: 'fixed flap', length: fixed }
}

/** Of the free ends on the grid, from the grip to what the largest book takes, the nearest that serves the most. */
function betterFreeEnd(job: AnyJob, options: ResolvedOptions, body: Body): Length | undefined {
  const { grid } = job
  const around = totalOf(bodyOf(job, body.bulk, body.largest))
  const before = subtract(body.finishedWidth, add(options.fixedFlap, around))
  const allowances = subtract(body.width.cut, body.finishedWidth)
  const servedWith = (free: Length) => {
    const cut = roundUpToGrid(add(options.fixedFlap, around, free, allowances), grid)
    const finished = { width: subtract(cut, allowances), bulk: body.bulk }
    return serveBooks(job, options, finished).filter(({ reason }) => reason === undefined).length
  }
  const now = serveBooks(job, options, { width: body.finishedWidth, bulk: body.bulk })
  let best = { free: undefined as Length | undefined, served: now.filter(({ reason }) => !reason).length }
  const last = roomInBoard(job, body.largest)
  for (let free = roundUpToGrid(options.grip, grid); free <= last; free = add(free, grid)) {
    const served = servedWith(free)
    const isNearer =
      best.free === undefined || absolute(subtract(free, before)) < absolute(subtract(best.free, before))
    if (served > best.served || (served === best.served && best.free !== undefined && isNearer))
      best = { free, served }
  }
  return best.free
}
