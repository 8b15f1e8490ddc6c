import type { PairedDevice } from '@snowdrift/core'
import { sayDay, sayTime } from '../../views/day-words'
import { momentOf, today } from '../../views/own-clock'

/** “22:05” on the clock of whoever reads it. */
export function timeWords(moment: string): string {
  return sayTime(momentOf(new Date(moment)))
}

/** “3 November 2026, 14:05”, by the clock of whoever reads it. */
export function momentWords(moment: string): string {
  return `${sayDay(today(new Date(moment)))}, ${timeWords(moment)}`
}

/** When a device was here last, and since when it is let in. */
export function seenWords({ createdAt, seenAt }: PairedDevice, now: Date): string {
  const seen = today(new Date(seenAt))
  const last = seen === today(now) ? `today at ${timeWords(seenAt)}` : `on ${sayDay(seen)}`
  return `here last ${last}; let in on ${sayDay(today(new Date(createdAt)))}`
}
