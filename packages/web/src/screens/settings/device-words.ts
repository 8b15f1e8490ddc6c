import type { PairedDevice } from '@snowdrift/core'
import { sayDay } from '../../views/day-words'

/** “22:05” on the clock of whoever reads it. */
export function timeWords(moment: string): string {
  const at = new Date(moment)
  return [at.getHours(), at.getMinutes()].map(part => String(part).padStart(2, '0')).join(':')
}

/** When a device was here last, and since when it is let in. */
export function seenWords({ createdAt, seenAt }: PairedDevice, now: Date): string {
  const seen = dayOf(new Date(seenAt))
  const last = seen === dayOf(now) ? `today at ${timeWords(seenAt)}` : `on ${sayDay(seen)}`
  return `here last ${last}; let in on ${sayDay(dayOf(new Date(createdAt)))}`
}

function dayOf(at: Date): string {
  return [at.getFullYear(), at.getMonth() + 1, at.getDate()].join('-')
}
