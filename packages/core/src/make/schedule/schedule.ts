import { workPlaces, type WorkPlace } from '../step.js'
import { boundOf } from './bound.js'
import { criticalWay } from './critical.js'
import { scheduling, placeInOrder, type Planned } from './improve.js'
import { createInstance, hundredths, inMinutes, type Instance, type Task } from './instance.js'
import { latestStart } from './latest-start.js'
import { oneByOne } from './one-by-one.js'
import type { Moment, ScheduleRequest } from './request.js'
import { finishesOf } from './worth.js'

/** A step in a session. Minutes. */
export interface ScheduledItem {
  readonly cover: string
  readonly copy: number
  readonly step: string
  readonly place: WorkPlace
  /** From the session’s start to where the work begins, after its set-up. */
  readonly from: number
  readonly minutes: number
  readonly setUp: number
  readonly idle: number
}

/** Why a step found no place. */
export type WhyUnplaced =
  /** No session is long enough for it, with what must follow at once. */
  | { readonly kind: 'too-long'; readonly minutes: number; readonly longest: number }
  /** The sessions end before it. */
  | { readonly kind: 'no-time' }
  /** What it needs found no place. */
  | { readonly kind: 'needs'; readonly step: string }

/** When everything is done. Moments are minutes, as in the request. */
export interface Schedule {
  readonly sessions: readonly { readonly start: Moment; readonly items: readonly ScheduledItem[] }[]
  /** By cover, when its last copy’s last step ends; covers with work left over are not in it. */
  readonly finish: Readonly<Record<string, Moment>>
  /** Covers that end after they are due, the latest first; where work is left over, at least so late. */
  readonly late: readonly { readonly cover: string; readonly minutes: number }[]
  readonly critical: readonly { readonly cover: string; readonly copy: number; readonly step: string }[]
  readonly latestStart?: Moment
  readonly unplaced: readonly {
    readonly cover: string
    readonly copy: number
    readonly step: string
    readonly why: WhyUnplaced
  }[]
  readonly minutes: { readonly active: number; readonly setUp: number; readonly idle: number }
  readonly oneByOne: { readonly setUp: number; readonly finish?: Moment; readonly lateMinutes: number }
  /** No plan is better than this. */
  readonly bound: { readonly setUp: number; readonly finish?: Moment; readonly lateMinutes: number }
}

/** A plan of time as good as it gets within so many milliseconds. `now` tells milliseconds. */
export function schedule(
  request: ScheduleRequest,
  { budgetMs, now }: { readonly budgetMs: number; readonly now: () => number },
): Schedule {
  const end = now() + budgetMs
  const instance = createInstance(request)
  let best: Planned | undefined
  for (const better of scheduling(instance, request.seed)) {
    if (better) best = better
    if (now() >= end) break
  }
  if (!best) throw new Error('The search ended without any plan of time')
  return withLatestStart(toSchedule(request, instance, best, fixedOf(instance)), instance, best)
}

/**
 * Better and better plans of time, each whole. `isOver` is asked after every try. The last one has what costs a moment
 * to know: the latest start.
 */
export function* schedules(request: ScheduleRequest, isOver: () => boolean): Generator<Schedule, void> {
  const instance = createInstance(request)
  const fixed = fixedOf(instance)
  let best: Planned | undefined
  for (const better of scheduling(instance, request.seed)) {
    if (better) {
      best = better
      yield toSchedule(request, instance, best, fixed)
    }
    if (isOver()) break
  }
  if (best) yield withLatestStart(toSchedule(request, instance, best, fixed), instance, best)
}

/** What is the same of every plan. */
function fixedOf(instance: Instance) {
  return {
    plain: placeInOrder(instance, oneByOne(instance)).worth,
    bound: boundOf(instance),
    way: criticalWay(instance),
  }
}

function withLatestStart(schedule: Schedule, instance: Instance, best: Planned): Schedule {
  const start = latestStart(instance, orderOf(instance, best))
  return { ...schedule, ...(start !== undefined && { latestStart: inMinutes(start) }) }
}

/** The blocks in the order in which they were placed, then those that were not. */
function orderOf({ blockOf, blocks }: Instance, { timetable }: Planned): readonly number[] {
  const placed = timetable.entries.map(({ task }) => blockOf[task] ?? 0)
  return [...new Set([...placed, ...blocks.keys()])]
}

function toSchedule(
  request: ScheduleRequest,
  instance: Instance,
  { timetable }: Planned,
  { plain, bound, way }: ReturnType<typeof fixedOf>,
): Schedule {
  const { tasks } = instance
  const { work, sessions } = request
  const nameOf = ({ job, copy, step }: Task) => ({ cover: work[job]?.cover ?? '', copy, step })
  const items = sessions.map(({ start }) => ({ start, items: [] as ScheduledItem[] }))
  for (const { task, session, from, minutes, setUp, idle } of timetable.entries) {
    const placed = tasks[task] as Task
    items[session]?.items.push({
      ...nameOf(placed),
      place: workPlaces[placed.place] ?? 'table',
      from: inMinutes(from),
      minutes: inMinutes(minutes),
      setUp: inMinutes(setUp),
      idle: inMinutes(idle),
    })
  }
  const { finishes, isOpen } = finishesOf(instance, timetable)
  const late = work
    .map(({ cover, due }, job) => ({
      cover,
      minutes: inMinutes(Math.max(0, (finishes[job] ?? -Infinity) - hundredths(due ?? Infinity))),
    }))
    .filter(({ minutes }) => minutes > 0)
    .sort((one, other) => other.minutes - one.minutes)
  const sum = (of: 'minutes' | 'setUp' | 'idle') =>
    inMinutes(timetable.entries.reduce((total, entry) => total + entry[of], 0))
  return {
    sessions: items,
    finish: Object.fromEntries(
      work.flatMap(({ cover }, job) => {
        const end = finishes[job]
        return end === undefined || isOpen[job] ? [] : [[cover, inMinutes(end)]]
      }),
    ),
    late,
    critical: way.map(index => nameOf(tasks[index] as Task)),
    unplaced: tasks
      .filter(({ index }) => timetable.ends[index] === undefined)
      .map(task => ({ ...nameOf(task), why: whyUnplaced(instance, task, timetable) })),
    minutes: { active: sum('minutes'), setUp: sum('setUp'), idle: sum('idle') },
    oneByOne: {
      setUp: inMinutes(plain.setUp),
      ...finishIn(plain.finish),
      lateMinutes: inMinutes(plain.late),
    },
    bound: { setUp: inMinutes(bound.setUp), ...finishIn(bound.finish), lateMinutes: inMinutes(bound.late) },
  }
}

function finishIn(finish: number) {
  return Number.isFinite(finish) ? { finish: inMinutes(finish) } : {}
}

function whyUnplaced(
  { tasks, sessions, blocks, blockOf, firstSetUp }: Instance,
  { index, needs, place, isSplit }: Task,
  { ends }: Planned['timetable'],
): WhyUnplaced {
  const block = blocks[blockOf[index] ?? 0] ?? []
  const missing = needs.find(need => ends[need] === undefined && !block.includes(need))
  if (missing !== undefined) return { kind: 'needs', step: tasks[missing]?.step ?? '' }
  const minutes = block.reduce((sum, member) => sum + (tasks[member]?.minutes ?? 0), firstSetUp[place] ?? 0)
  const longest = Math.max(0, ...sessions.map(({ length }) => length))
  if (minutes > longest && (!isSplit || block.length > 1))
    return { kind: 'too-long', minutes: inMinutes(minutes), longest: inMinutes(longest) }
  return { kind: 'no-time' }
}
