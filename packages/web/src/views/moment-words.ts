import { sayDay, sayTime } from './day-words'
import { momentOf, today } from './own-clock'

/** “22:05” on the clock of whoever reads it. */
export function timeWords(moment: string): string {
  return sayTime(momentOf(new Date(moment)))
}

/** “3 November 2026, 14:05”, by the clock of whoever reads it. */
export function momentWords(moment: string): string {
  return `${sayDay(today(new Date(moment)))}, ${timeWords(moment)}`
}

/** “today at 08:05”, “on 29 November 2026”, as of `now`. */
export function whenWords(moment: string, now: Date): string {
  const day = today(new Date(moment))
  return day === today(now) ? `today at ${timeWords(moment)}` : `on ${sayDay(day)}`
}
