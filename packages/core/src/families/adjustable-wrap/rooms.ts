import type { Clearance } from '../../fit/clearance.js'
import { sewnAtBothEdges } from '../../fit/making.js'
import { slipOnBands } from '../../fit/verdict.js'
import { add, negate, shortest, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { CoveredObject } from '../../object/reading.js'
import { deriveInnerWidth } from '../../object/derive.js'
import { totalOf } from '../../piece/reason.js'
import type { Job } from '../contract.js'
import { bodyOf, neededOverTall, roomInBoard, strapLimits, strapPlace } from './books.js'
import type { AdjustableWrapOptions, ResolvedOptions } from './options.js'
import type { Body } from './size.js'

type AnyJob = Job<AdjustableWrapOptions>

/**
 * What a make must keep for each book: a free end that reaches inside and keeps its strap off the fold, and height. The
 * plan’s own margins (⅜ in short of the board, ¼ in beside the strap) are there to be used up by errors, so here a free
 * end may take the whole board. Source: docs/craft.md, Chance of fitting.
 */
export function keepRooms(job: AnyJob, body: Body, options: ResolvedOptions): readonly Clearance[] {
  return job.objects.flatMap((_, thing) => [freeEnd(job, body, options, thing), height(job, body, thing)])
}

function freeEnd(job: AnyJob, body: Body, options: ResolvedOptions, thing: number): Clearance {
  const object = job.objects[thing] ?? job.object
  const around = bodyOf(job, body.bulk, object)
  return {
    name: 'free end',
    direction: 'width',
    room: subtract(subtract(body.finishedWidth, options.fixedFlap), totalOf(around)),
    errs: around,
    making: { ...sewnAtBothEdges, foldLines: 1 },
    thing,
    works: worksFrom(job, options, deriveInnerWidth(object) ?? zero),
    planned: plannedFrom(job, options, object),
  }
}

/** From the grip to the strap, and from behind the strap to the whole board. */
function worksFrom(job: AnyJob, options: ResolvedOptions, board: Length): Clearance['works'] {
  if (options.fixedFlap > board) return []
  const { from, width } = strapPlace(job, options)
  return [
    { from: subtract(options.grip, job.grid), to: shortest(from, board) },
    { from: subtract(add(from, width), job.grid), to: board },
  ].filter(stretch => stretch.from <= stretch.to)
}

/** The same with the plan’s margins, short of the board and beside the strap, and the step of the grid it forgives. */
function plannedFrom(job: AnyJob, options: ResolvedOptions, object: CoveredObject): Clearance['works'] {
  const room = roomInBoard(job, object)
  if (options.fixedFlap > add(room, job.grid)) return []
  const { near, far } = strapLimits(job, options)
  return [
    { from: subtract(options.grip, job.grid), to: add(shortest(near, room), job.grid) },
    { from: subtract(far, job.grid), to: add(room, job.grid) },
  ].filter(stretch => stretch.from <= stretch.to)
}

/** It goes in, and is not more than ½ in and a step lower than what the tallest leaves. */
function height(job: AnyJob, { bulk, fitHeight }: Body, thing: number): Clearance {
  const needed = neededOverTall(job, job.objects[thing] ?? job.object, bulk)
  const most = add(fitHeight.ease, customary(1 / 2, job.unit), job.grid)
  return {
    name: 'height',
    direction: 'height',
    room: subtract(fitHeight.finished, totalOf(needed)),
    errs: needed,
    making: sewnAtBothEdges,
    thing,
    works: [{ from: negate(fitHeight.give), to: shortest(most, slipOnBands.top) }],
  }
}
