import type { Instance, Task } from './instance.js'
import { createTimetable, type Timetable } from './timetable.js'
import { compareWorth, worthOf, type Worth } from './worth.js'

/** So few free steps that every order is tried. */
export const fewSteps = 8

/**
 * The best plan of time of few steps: every order, each step in this session or any later one. Undefined where some
 * step finds no place in any of them.
 */
export function tryEveryOrder(instance: Instance): Timetable | undefined {
  const { tasks, sessions } = instance
  const timetable = createTimetable(instance)
  let best: { readonly worth: Worth; readonly steps: readonly (readonly [number, number])[] } | undefined
  const chosen: (readonly [number, number])[] = []

  const visit = (placed: number) => {
    if (best && compareWorth(soFar(instance, timetable), best.worth) >= 0) return
    if (placed === tasks.length) {
      best = { worth: worthOf(instance, timetable), steps: [...chosen] }
      return
    }
    for (const task of tasks) {
      if (timetable.ends[task.index] !== undefined) continue
      if (task.needs.some(need => timetable.ends[need] === undefined)) continue
      const mark = timetable.mark()
      for (let from = mark.standing.session; from < sessions.length; from += 1) {
        const before = timetable.mark()
        if (!timetable.place([task.index], from)) break
        const at = firstSession(timetable, before.entries)
        chosen.push([task.index, at])
        visit(placed + 1)
        chosen.pop()
        timetable.takeBack(mark)
        from = Math.max(from, at)
      }
    }
  }
  visit(0)
  if (!best) return undefined
  for (const [index, session] of best.steps) timetable.place([index], session)
  return timetable
}

function firstSession({ entries }: Timetable, from: number): number {
  return entries[from]?.session ?? 0
}

/** No plan that goes on from here is better than this: late minutes, finish and set-ups only grow. */
function soFar(instance: Instance, { ends, entries }: Timetable): Worth {
  const { tasks, due } = instance
  const latest = due.map(() => -Infinity)
  for (const { index, job } of tasks)
    latest[job] = Math.max(latest[job] ?? -Infinity, ends[index] ?? -Infinity)
  const late = latest.reduce((sum, end, job) => sum + Math.max(0, end - (due[job] ?? Infinity)), 0)
  const finish = Math.max(...latest)
  const setUp = entries.reduce((sum, entry) => sum + entry.setUp, 0)
  return { late, unplaced: 0, finish, setUp }
}

/** Whether every order of it can be tried. */
export function isSmall({ tasks }: { readonly tasks: readonly Task[] }): boolean {
  return tasks.length <= fewSteps
}
