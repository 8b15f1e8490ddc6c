import type { Repair } from '../../finding/repair.js'
import { roundDownToGrid } from '../../length/grid.js'
import { mm, shortest, subtract, type Length } from '../../length/length.js'
import type { Job } from '../contract.js'
import { roomInBoard, serveBooks } from './books.js'
import { weighFreeEnds } from './free-end.js'
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
  const room = shortest(options.fixedFlap, ...rooms)
  const fixed = roundDownToGrid(room, job.grid)
  // a flap that has room everywhere is not what is in the way, be it on the grid or not
  if (room === options.fixedFlap || fixed < mm(20)) return undefined
  return { kind: 'set-option', option: 'fixedFlap', name: 'fixed flap', length: fixed }
}

/** The best free end on the grid, where it serves more than the present one does. */
function betterFreeEnd(job: AnyJob, options: ResolvedOptions, body: Body): Length | undefined {
  const { bulk, largest } = body
  const allowances = subtract(body.width.cut, body.finishedWidth)
  const now = serveBooks(job, options, { width: body.finishedWidth, bulk })
  const [best] = weighFreeEnds(job, options, { bulk, largest, allowances })
  return best && best.served > now.filter(({ reason }) => !reason).length ? best.free : undefined
}
