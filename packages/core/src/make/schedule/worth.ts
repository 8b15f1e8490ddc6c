import type { Instance } from './instance.js'
import type { Timetable } from './timetable.js'

/** What a plan of time is judged by, the first first; hundredths of a minute. */
export interface Worth {
  readonly late: number
  /** Work that found no place. */
  readonly unplaced: number
  readonly finish: number
  readonly setUp: number
}

/** When each job ended; one with work left over ends no sooner than the sessions do. */
export function finishesOf({ tasks, sessions, due }: Instance, { ends }: Pick<Timetable, 'ends'>) {
  const last = sessions.at(-1)
  const horizon = last ? last.start + last.length : -Infinity
  const finishes: (number | undefined)[] = due.map(() => undefined)
  const isOpen = due.map(() => false)
  for (const { job, index } of tasks) {
    const end = ends[index]
    if (end === undefined) isOpen[job] = true
    finishes[job] = Math.max(finishes[job] ?? -Infinity, end ?? horizon)
  }
  return { finishes, isOpen }
}

export function worthOf(instance: Instance, timetable: Pick<Timetable, 'ends' | 'entries'>): Worth {
  const { tasks, due } = instance
  const { finishes } = finishesOf(instance, timetable)
  let [late, unplaced, finish, setUp] = [0, 0, -Infinity, 0]
  for (const [job, end] of finishes.entries())
    late += Math.max(0, (end ?? -Infinity) - (due[job] ?? Infinity))
  for (const { index, minutes } of tasks) {
    const end = timetable.ends[index]
    if (end === undefined) unplaced += minutes
    else finish = Math.max(finish, end)
  }
  for (const entry of timetable.entries) setUp += entry.setUp
  return { late, unplaced, finish, setUp }
}

/** Below nought where the first is better: fewest late minutes, all placed, the earliest finish, the fewest set-ups. */
export function compareWorth(one: Worth, other: Worth): number {
  return (
    one.late - other.late ||
    one.unplaced - other.unplaced ||
    // neither finishes where nothing could be placed
    (one.finish === other.finish ? 0 : one.finish - other.finish) ||
    one.setUp - other.setUp
  )
}
