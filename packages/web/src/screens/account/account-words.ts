import type { Passkey, SignedIn } from '@snowdrift/core'
import { sayDay } from '../../views/day-words'
import { today } from '../../views/own-clock'
import { timeWords } from '../settings/device-words'

/** “here today at 08:05”, “here on 29 November 2026”, as of `now`. */
function whenWords(moment: string, now: Date): string {
  const day = today(new Date(moment))
  return day === today(now) ? `today at ${timeWords(moment)}` : `on ${sayDay(day)}`
}

/** Since when somebody is signed in at a place, and when they were there last. */
export function placeWords({ createdAt, seenAt, isThis }: SignedIn, now: Date): string {
  const since = `signed in ${whenWords(createdAt, now)}`
  return isThis ? `here, now; ${since}` : `seen last ${whenWords(seenAt, now)}; ${since}`
}

export function passkeyUseWords({ createdAt, usedAt }: Passkey, now: Date): string {
  const used = usedAt === null ? 'not used yet' : `used last ${whenWords(usedAt, now)}`
  return `${used}; added ${whenWords(createdAt, now)}`
}

/** How many recovery codes somebody has, and what to do where they are few. */
export function codesLeftWords(left: number): string {
  if (left === 0)
    return 'You have none left. Should you lose all else, nobody can let you in again: make new ones.'
  const have = left === 1 ? 'You have one left' : `You have ${left} left`
  return left <= 3
    ? `${have}: make new ones before they are used up. Those of before lead nowhere then.`
    : `${have}, for when all else is lost. With new ones those of before lead nowhere.`
}
