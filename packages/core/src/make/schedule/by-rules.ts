import type { Instance, Task } from './instance.js'
import { latestStarts } from './latest-starts.js'
import { makesByDue } from './one-by-one.js'
import { createReadyWork, type ReadyWork } from './ready-work.js'
import { tailsOf } from './tails.js'
import { createTimetable, type Timetable } from './timetable.js'

/** How work is chosen while a plan of time is built. */
export interface Rules {
  /** Makes in the order in which they are begun: indices into the makes by due date. */
  readonly order: readonly number[]
  /** How many are worked on side by side; others only fill time that would be idle. */
  readonly sideBySide: number
  /** The share of the sessions that is kept free: covers that are due before time runs short keep the others back. */
  readonly margin: number
  /** So many sessions ahead of the last one that would do for it, a step goes before others. */
  readonly ahead: number
  /** What a minute of set-up, of idle time, and of work that hangs on a step are worth against each other. */
  readonly setUp: number
  readonly idle: number
  readonly tail: number
  /** What it is worth to go where most work is waiting. */
  readonly crowd: number
}

/** Goes before, or after, whatever else there is. */
const first = -10_000_000
const last = 10_000_000

/** What is the same whatever the rules. */
export interface Facts {
  readonly instance: Instance
  readonly makes: ReturnType<typeof makesByDue>
  readonly tails: readonly number[]
  readonly latest: readonly number[]
}

export function factsOf(instance: Instance): Facts {
  return {
    instance,
    makes: makesByDue(instance),
    tails: tailsOf(instance),
    latest: latestStarts(instance),
  }
}

/** What choosing needs to know that does not change on the way. */
interface Known extends Facts {
  readonly rules: Rules
  readonly rankOf: Int32Array
  readonly rooms: ReturnType<typeof roomsUntil>
}

/** Builds a plan of time by rules; gives the blocks in the order in which they were placed. */
export function placeByRules(
  facts: Facts,
  rules: Rules,
): { readonly order: readonly number[]; readonly timetable: Timetable } {
  const { instance, makes } = facts
  const rankOf = new Int32Array(instance.tasks.length)
  for (const [rank, make] of rules.order.entries())
    for (const index of makes[make] ?? []) rankOf[index] = rank
  const known: Known = {
    ...facts,
    rules,
    rankOf,
    rooms: roomsUntil(facts, rules),
  }
  const work = createReadyWork(instance, rankOf, makes.length)
  const timetable = createTimetable(instance)
  const order: number[] = []
  while (work.ready.size > 0) {
    const block = choose(known, work, timetable)
    if (timetable.place(instance.blocks[block] ?? [])) {
      work.finish(block)
      order.push(block)
    } else work.drop(block)
  }
  return { order, timetable }
}

/** What is done next: in this session, or what opens the next where nothing fits in any more. */
function choose(known: Known, work: ReadyWork, timetable: Timetable): number {
  const { instance, rules, rankOf, tails, latest } = known
  const { tasks, blocks, sessions } = instance
  const lastRank = lastAtWork(known, work, timetable)
  const crowds = crowdsOf(known, work.ready, lastRank)
  const hurry = sessions[timetable.standing().session + 1 + rules.ahead]?.start ?? -Infinity
  let best = -1
  let bestScore = Infinity
  for (const block of work.ready) {
    const task = tasks[blocks[block]?.[0] ?? 0] as Task
    const seen = timetable.look(task)
    if (!seen) continue
    const rank = rankOf[task.index] ?? 0
    const isUrgent = (latest[task.index] ?? Infinity) < hurry
    const score =
      seen.setUp * rules.setUp +
      seen.idle * rules.idle -
      (tails[task.index] ?? 0) * rules.tail -
      (seen.setUp > 0 ? (crowds[task.place] ?? 0) * rules.crowd : 0) +
      rank +
      (isUrgent ? first : rank > lastRank ? last : 0)
    if (score < bestScore) [best, bestScore] = [block, score]
  }
  return best < 0 ? Math.min(...work.ready) : best
}

/** The rank of the last make that is worked on now: time runs short for it, or as many are side by side as may be. */
function lastAtWork(
  { rules, rooms }: Known,
  { tasksLeft, minutesLeft }: ReadyWork,
  timetable: Timetable,
): number {
  const { session, used } = timetable.standing()
  const gone = (rooms.before[session] ?? Infinity) + used
  let many = 0
  let needed = 0
  for (let rank = 0; rank < tasksLeft.length; rank += 1) {
    if (tasksLeft[rank] === 0) continue
    needed += minutesLeft[rank] ?? 0
    many += 1
    const room = (rooms.untilDue[rank] ?? Infinity) - gone
    if (many === rules.sideBySide || needed > room * (1 - rules.margin)) return rank
  }
  return tasksLeft.length
}

/** Minutes of the sessions that lie before each of them, and before each make is due, in the order of the makes. */
function roomsUntil({ instance, makes }: Facts, { order }: Rules) {
  const { sessions, tasks, due } = instance
  const before: number[] = []
  let sum = 0
  for (const { length } of sessions) {
    before.push(sum)
    sum += length
  }
  const until = (moment: number) =>
    sessions.reduce((room, { start, length }) => room + Math.min(length, Math.max(0, moment - start)), 0)
  const untilDue = order.map(make => {
    const moment = due[tasks[makes[make]?.[0] ?? 0]?.job ?? 0]
    return moment === undefined ? Infinity : until(moment)
  })
  return { before, untilDue }
}

/** Minutes of work that are ready at each place, of the makes that are worked on. */
function crowdsOf(
  { instance: { tasks, blocks }, rankOf }: Known,
  ready: ReadonlySet<number>,
  lastRank: number,
): readonly number[] {
  const crowds: number[] = []
  for (const block of ready) {
    const task = tasks[blocks[block]?.[0] ?? 0] as Task
    if ((rankOf[task.index] ?? 0) <= lastRank) crowds[task.place] = (crowds[task.place] ?? 0) + task.minutes
  }
  return crowds
}
