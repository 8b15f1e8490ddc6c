import { parseMoment, type Moment } from '@snowdrift/core'

/** Now, in minutes of the maker's own clock. */
export function momentOf(now: Date): Moment {
  return Date.UTC(now.getFullYear(), now.getMonth(), now.getDate(), now.getHours(), now.getMinutes()) / 60_000
}

const minutesADay = 1440

/** The end of a day, which is when something is due that is due on it. */
export function endOfDay(day: string): Moment | undefined {
  const read = parseMoment(day)
  return read && read.moment + minutesADay
}

/** The maker's own day. */
export function today(now = new Date()): string {
  const two = (part: number) => String(part).padStart(2, '0')
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
}
