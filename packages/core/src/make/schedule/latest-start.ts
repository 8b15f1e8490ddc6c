import type { Instance, Session } from './instance.js'
import { placeInOrder } from './improve.js'

/**
 * The latest moment, in whole minutes, at which work can begin in this order without anything ending later than due (or
 * later than it is now, where it is late already) or finding no place. Undefined where nothing is placed.
 */
export function latestStart(instance: Instance, order: readonly number[]): number | undefined {
  const { sessions } = instance
  const now = placeInOrder(instance, order).worth
  const isGood = (begin: number) => {
    const { late, unplaced } = placeInOrder(
      { ...instance, sessions: sessionsFrom(sessions, begin) },
      order,
    ).worth
    return late <= now.late && unplaced <= now.unplaced
  }
  const first = sessions[0]
  const last = sessions.at(-1)
  if (!first || !last || now.finish === -Infinity) return undefined
  let [good, bad] = [Math.floor(first.start / 100), Math.ceil((last.start + last.length) / 100)]
  while (bad - good > 1) {
    const middle = Math.floor((good + bad) / 2)
    if (isGood(middle * 100)) good = middle
    else bad = middle
  }
  return inSession(sessions, good * 100)
}

/** A start between two sessions is that of the next. */
function inSession(sessions: readonly Session[], moment: number): number {
  const session = sessions.find(({ start, length }) => moment < start + length)
  return Math.max(moment, session?.start ?? moment)
}

/** What is left of the sessions from a moment on; those that are over keep no room. */
function sessionsFrom(sessions: readonly Session[], begin: number): readonly Session[] {
  return sessions.map(({ start, length }) => {
    const cut = Math.min(length, Math.max(0, begin - start))
    return { start: start + cut, length: length - cut }
  })
}
