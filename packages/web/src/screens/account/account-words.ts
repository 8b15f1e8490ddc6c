import type { Passkey, SignedIn } from '@snowdrift/core'
import { whenWords } from '../../views/moment-words'

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
