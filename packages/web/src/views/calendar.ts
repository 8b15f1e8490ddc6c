import type { DateArray } from 'ics'

/** A moment as the calendar package takes it, to the minute, in the world’s time. */
export function utcDate(at: Date): DateArray {
  return [at.getUTCFullYear(), at.getUTCMonth() + 1, at.getUTCDate(), at.getUTCHours(), at.getUTCMinutes()]
}

/** Which writing of an event it is: a calendar takes the later one. */
export function sequenceAt(at: Date): number {
  return Math.floor(at.getTime() / 60_000) % 2_000_000_000
}
