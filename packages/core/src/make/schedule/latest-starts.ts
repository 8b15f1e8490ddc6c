import type { Instance, Session, Task } from './instance.js'

/**
 * When each task must start at the latest, were it alone with what needs it, so that its cover is done when it is due;
 * Infinity where nobody waits for it.
 */
export function latestStarts({ tasks, sessions, due, firstSetUp }: Instance): readonly number[] {
  const latest: (number | undefined)[] = []
  const startOf = (index: number): number => {
    const known = latest[index]
    if (known !== undefined) return known
    const { job, neededBy, wait, minutes, place } = tasks[index] as Task
    const end = neededBy.reduce((least, next) => Math.min(least, startOf(next) - wait), due[job] ?? Infinity)
    return (latest[index] = lastStart(sessions, end, minutes + (firstSetUp[place] ?? 0)))
  }
  return tasks.map(({ index }) => startOf(index))
}

/** The latest start in a session for work that ends by then; before the first session where there is none. */
function lastStart(sessions: readonly Session[], end: number, minutes: number): number {
  if (end === Infinity) return Infinity
  const session = sessions.findLast(({ start, length }) => Math.min(start + length, end) - start >= minutes)
  return session ? Math.min(session.start + session.length, end) - minutes : -Infinity
}
