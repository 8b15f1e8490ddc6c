import type { AccountEvent, AccountEventKind } from '@snowdrift/core'
import { momentWords } from '../views/moment-words'

/** What was done; before it is said where, and when. */
const deeds: Readonly<Record<AccountEventKind, string>> = {
  'passphrase-changed': 'Your passphrase was changed',
  'passkey-added': 'A passkey was added to your account',
  'passkey-removed': 'A passkey was taken off your account',
  'codes-made': 'New recovery codes were made for your account',
  recovered: 'Somebody came in as you by a recovery code',
  'signed-in-anew': 'Somebody signed in as you for the first time in a browser',
}

/** “Your passphrase was changed on Phone, 3 November 2026, 14:05.” */
export function sayAccountEvent({ what, device, at }: AccountEvent): string {
  return `${deeds[what]}${device && ` on ${device}`}, ${momentWords(at)}.`
}
