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
  if (now.finish === -Infinity) return undefined
  // between two sessions nothing changes: first which of them, then which of its minutes
  const { start, length } =
    sessions[lastGood(sessions.length, at => isGood(sessions[at]?.start ?? 0))] ?? none
  const minute = lastGood(Math.ceil(length / wholeMinute), at => isGood(start + at * wholeMinute))
  return start + minute * wholeMinute
}

/** In hundredths. */
const wholeMinute = 100
const none: Session = { start: 0, length: 0 }

/** The last of so many that is good, where the first is and none is after one that is not. */
function lastGood(count: number, isGood: (at: number) => boolean): number {
  let [good, bad] = [0, count]
  while (bad - good > 1) {
    const middle = Math.floor((good + bad) / 2)
    if (isGood(middle)) good = middle
    else bad = middle
  }
  return good
}

/** What is left of the sessions from a moment on; those that are over keep no room. */
function sessionsFrom(sessions: readonly Session[], begin: number): readonly Session[] {
  return sessions.map(({ start, length }) => {
    const cut = Math.min(length, Math.max(0, begin - start))
    return { start: start + cut, length: length - cut }
  })
}
