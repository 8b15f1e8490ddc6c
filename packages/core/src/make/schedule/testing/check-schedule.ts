import { comingBackMinutes, setUpMinutes } from '../../minutes.js'
import type { WorkPlace } from '../../step.js'
import type { Schedule } from '../schedule.js'
import type { ScheduleRequest, TimedStep } from '../request.js'

interface Placed {
  readonly begin: number
  readonly end: number
  readonly minutes: number
}

const near = 0.006

/**
 * What of a plan of time breaks the rules, said in words; written from the rules, not from how plans are made. Empty
 * where it keeps them.
 */
export function checkSchedule(request: ScheduleRequest, plan: Schedule): readonly string[] {
  const wrong: string[] = []
  const parts = new Map<string, Placed[]>()
  for (const [at, { start, items }] of plan.sessions.entries()) {
    const length = request.sessions[at]?.minutes ?? 0
    let used = 0
    let place: WorkPlace | undefined
    const seen = new Set<WorkPlace>()
    for (const item of items) {
      const step = stepOf(request, item.cover, item.step)
      const first = request.setUp[step.place] ?? setUpMinutes[step.place]
      const setUp = place === step.place ? 0 : seen.has(step.place) ? comingBackMinutes : first
      const name = `${item.cover}/${item.copy}/${item.step}`
      if (Math.abs(setUp - item.setUp) > near) wrong.push(`${name} is set up ${item.setUp}, not ${setUp}`)
      if (item.from - item.setUp < used - near) wrong.push(`${name} begins before its maker is free`)
      used = item.from + item.minutes
      if (used > length + near) wrong.push(`${name} goes on after the session`)
      place = step.place
      seen.add(place)
      parts.set(name, [
        ...(parts.get(name) ?? []),
        { begin: start + item.from, end: start + used, minutes: item.minutes },
      ])
    }
  }
  const longest = Math.max(...request.sessions.map(({ minutes }) => minutes))
  for (const { cover, steps, copies, done } of request.work)
    for (let copy = 1; copy <= copies; copy += 1)
      for (const step of steps.filter(({ id }) => !done.has(id))) {
        const name = `${cover}/${copy}/${step.id}`
        const placed = parts.get(name)
        const isUnplaced = plan.unplaced.some(
          one => one.cover === cover && one.copy === copy && one.step === step.id,
        )
        if (!placed) {
          if (!isUnplaced) wrong.push(`${name} is lost`)
          continue
        }
        const total = placed.reduce((sum, { minutes }) => sum + minutes, 0)
        const takes = Math.max(0.01, step.minutes * (request.times[step.kind] ?? 1))
        if (Math.abs(total - takes) > near) wrong.push(`${name} takes ${total}, not ${takes}`)
        const first = request.setUp[step.place] ?? setUpMinutes[step.place]
        if (placed.length > 1 && takes <= longest - first + near) wrong.push(`${name} is cut in two`)
        if (placed.slice(0, -1).some(({ minutes }) => Math.abs(minutes - Math.round(minutes)) > 1e-9))
          wrong.push(`${name} is cut beside whole minutes`)
        for (const need of step.needs) {
          if (done.has(need)) continue
          const before = parts.get(`${cover}/${copy}/${need}`)?.at(-1)
          const { wait = 0, within } = stepOf(request, cover, need)
          const begin = placed[0]?.begin ?? 0
          if (!before) wrong.push(`${name} is done without ${need}`)
          else if (begin < before.end + wait - near) wrong.push(`${name} does not wait for ${need}`)
          else if (within !== undefined && begin > before.end + wait + within + near)
            wrong.push(`${name} begins too long after ${need}`)
        }
      }
  return wrong
}

export function stepOf({ work }: ScheduleRequest, cover: string, step: string): TimedStep {
  const found = work.find(one => one.cover === cover)?.steps.find(({ id }) => id === step)
  if (!found) throw new Error(`There is no ${cover}/${step}`)
  return found
}

/** Late minutes, end and set-ups of a plan, added up from its items alone. */
export function addUp(request: ScheduleRequest, plan: Schedule) {
  const ends = new Map<string, number>()
  let setUp = 0
  for (const { start, items } of plan.sessions)
    for (const item of items) {
      setUp += item.setUp
      ends.set(item.cover, Math.max(ends.get(item.cover) ?? -Infinity, start + item.from + item.minutes))
    }
  const late = request.work.reduce(
    (sum, { cover, due = Infinity }) => sum + Math.max(0, (ends.get(cover) ?? -Infinity) - due),
    0,
  )
  return { late, finish: Math.max(...ends.values()), setUp }
}
