import type { PairedDevice } from '@snowdrift/core'
import { sayDay } from '../../views/day-words'
import { whenWords } from '../../views/moment-words'
import { today } from '../../views/own-clock'

/** When a device was here last, and since when it is let in. */
export function seenWords({ createdAt, seenAt }: PairedDevice, now: Date): string {
  return `here last ${whenWords(seenAt, now)}; let in on ${sayDay(today(new Date(createdAt)))}`
}
