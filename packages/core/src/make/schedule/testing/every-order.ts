import { comingBackMinutes, setUpMinutes } from '../../minutes.js'
import type { WorkPlace } from '../../step.js'
import type { ScheduleRequest, TimedStep } from '../request.js'

interface Best {
  readonly late: number
  readonly finish: number
  readonly setUp: number
}

/**
 * The best there is, by trying every order and, for every step, every session from the one on where the maker stands:
 * without any cutting short. For a handful of steps, none of which is longer than a session.
 */
export function bestOfEveryOrder(request: ScheduleRequest): Best | undefined {
  const steps = request.work.flatMap(({ cover, steps: own, done }) =>
    own.filter(({ id }) => !done.has(id)).map(step => ({ ...step, cover })),
  )
  let best: Best | undefined
  const ends = new Map<string, number>()
  const take = (session: number, used: number, places: readonly WorkPlace[], setUps: number) => {
    if (ends.size === steps.length) {
      const result = judge(request, ends, setUps)
      if (!best || compareBest(result, best) < 0) best = result
      return
    }
    for (const step of steps) {
      const name = `${step.cover}/${step.id}`
      const needs = step.needs.filter(id =>
        steps.some(other => other.cover === step.cover && other.id === id),
      )
      if (ends.has(name) || needs.some(id => !ends.has(`${step.cover}/${id}`))) continue
      for (let at = session; at < request.sessions.length; at += 1) {
        const { start, minutes } = request.sessions[at] ?? { start: 0, minutes: 0 }
        const before = at === session ? places : []
        const first = request.setUp[step.place] ?? setUpMinutes[step.place]
        const setUp =
          before.at(-1) === step.place ? 0 : before.includes(step.place) ? comingBackMinutes : first
        const free = start + (at === session ? used : 0) + setUp
        const spans = needs.map(id => spanAfter(steps, step.cover, id, ends))
        const begin = Math.max(free, ...spans.map(({ earliest }) => earliest))
        if (spans.some(({ latest }) => begin > latest) || begin + step.minutes > start + minutes) continue
        ends.set(name, begin + step.minutes)
        take(at, begin + step.minutes - start, [...before, step.place], setUps + setUp)
        ends.delete(name)
      }
    }
  }
  take(0, 0, [], 0)
  return best
}

function spanAfter(
  steps: readonly (TimedStep & { readonly cover: string })[],
  cover: string,
  id: string,
  ends: ReadonlyMap<string, number>,
) {
  const { wait = 0, within = Infinity } = steps.find(one => one.cover === cover && one.id === id) ?? {}
  const earliest = (ends.get(`${cover}/${id}`) ?? 0) + wait
  return { earliest, latest: earliest + within }
}

function judge({ work }: ScheduleRequest, ends: ReadonlyMap<string, number>, setUp: number): Best {
  const late = work.reduce((sum, { cover, due = Infinity }) => {
    const own = [...ends].filter(([name]) => name.startsWith(`${cover}/`)).map(([, end]) => end)
    return sum + Math.max(0, Math.max(...own) - due)
  }, 0)
  return { late, finish: Math.max(...ends.values()), setUp }
}

/** Below nought where the first is better: late minutes, then the end, then set-ups. */
export function compareBest(one: Best, other: Best): number {
  const near = (difference: number) => (Math.abs(difference) < 1e-6 ? 0 : difference)
  return near(one.late - other.late) || near(one.finish - other.finish) || near(one.setUp - other.setUp)
}
