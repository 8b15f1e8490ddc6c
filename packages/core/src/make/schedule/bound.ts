import { tailsOf } from './tails.js'
import type { Instance } from './instance.js'

/** What no plan of time can be better than; hundredths of a minute. */
export interface Bound {
  readonly finish: number
  readonly late: number
  readonly setUp: number
}

/**
 * No plan ends before all work with the least set-ups has gone into the sessions from the first one on, nor before the
 * longest way through any cover; and no cover, were it the only one, before the same of its own.
 */
export function boundOf(instance: Instance): Bound {
  const { tasks, due, sessions } = instance
  if (tasks.length === 0) return { finish: -Infinity, late: 0, setUp: 0 }
  const all = tasks.map(({ index }) => index)
  const jobs = due.map((_, job) => all.filter(index => tasks[index]?.job === job))
  const ends = jobs.map(job => endOf(instance, job).finish)
  // what finds no place is as late as the sessions last
  const last = sessions.at(-1)
  const horizon = last ? last.start + last.length : -Infinity
  const late = ends.reduce(
    (sum, end, job) => sum + Math.max(0, Math.min(end, horizon) - (due[job] ?? Infinity)),
    0,
  )
  const whole = endOf(instance, all)
  return { finish: Math.max(whole.finish, ...ends), late, setUp: whole.setUp }
}

/** The earliest end of some tasks, and the fewest set-ups: a plan may leave short sessions empty for a long one. */
function endOf(
  { tasks, sessions, firstSetUp }: Instance,
  some: readonly number[],
): { readonly finish: number; readonly setUp: number } {
  if (some.length === 0) return { finish: -Infinity, setUp: 0 }
  const work = some.reduce((sum, index) => sum + (tasks[index]?.minutes ?? 0), 0)
  const places = [...new Set(some.map(index => tasks[index]?.place ?? 0))]
  const setUpAt = (place: number) => firstSetUp[place] ?? 0
  const least = Math.min(...places.map(setUpAt))
  const setUps = places.reduce((sum, place) => sum + setUpAt(place), 0)
  // every place is set up once, and every session in which something is done begins with a set-up
  const setUpsIn = (many: number) => Math.max(setUps, many * least)
  // in one that a set-up fills nothing can be done
  const useful = sessions.filter(({ length }) => length > least)
  const lengths = useful.map(({ length }) => length)
  const neededIn = (many: number) => work + setUpsIn(many)
  const first = filled(lengths, neededIn)
  const longest = filled(
    lengths.toSorted((one, other) => other - one),
    neededIn,
  )
  const begun = useful[(first?.many ?? 0) - 1]?.start ?? Infinity
  const finish = first ? begun + neededIn(first.many) - first.before : Infinity
  const start = sessions[0]?.start ?? 0
  const tails = tailsOf({ tasks })
  const way = Math.max(...some.map(index => tails[index] ?? 0))
  return { finish: Math.max(finish, start + least + way), setUp: setUpsIn(longest?.many ?? useful.length) }
}

/** So many sessions, one after the other, hold what is to be done in so many; and how long those before the last are. */
function filled(
  lengths: readonly number[],
  neededIn: (many: number) => number,
): { readonly many: number; readonly before: number } | undefined {
  let before = 0
  for (const [at, length] of lengths.entries()) {
    if (neededIn(at + 1) <= before + length) return { many: at + 1, before }
    before += length
  }
  return undefined
}
