import type { AuditEvent, AuditKind, MemberRole } from '@snowdrift/core'

/** What a role is called, and what it lets somebody do. */
export const roleWords: Readonly<
  Record<MemberRole, { readonly name: string; readonly as: string; readonly may: string }>
> = {
  owner: { name: 'Owner', as: 'as an owner', may: 'does everything, and says who belongs to it' },
  maker: { name: 'Maker', as: 'as a maker', may: 'does all of the work' },
  guest: { name: 'Guest', as: 'as a guest', may: 'sees everything and changes nothing' },
}

/** What was done, after the name of who did it; `…` is whom it concerned, `*` what is to be said beside. */
const deedWords: Readonly<Record<AuditKind, string>> = {
  'signed-in': 'signed in',
  'sign-in-failed': 'was named by somebody who could not prove it',
  'signed-out': 'signed out at one place',
  'signed-out-everywhere': 'signed out everywhere',
  'session-replayed': 'was signed out: a token came back that had been put away, as from a copied browser',
  joined: 'joined *',
  left: 'left the workshop',
  removed: 'sent … away',
  'role-changed': 'made … *',
  invited: 'made an invitation *',
  'invitation-withdrawn': 'withdrew an invitation',
  'passphrase-changed': 'chose another passphrase',
  'passkey-added': 'added a passkey',
  'passkey-removed': 'took a passkey away',
  'codes-made': 'made new recovery codes',
  recovered: 'came in by a recovery code',
  'workshop-renamed': 'named the workshop “*”',
  'archive-taken-out': 'took the whole workshop out',
  'archive-taken-in': 'took an archive in',
  'account-deleted': 'deleted their account',
}

/** “Olga made Mads a maker.” */
export function auditWords({ what, who, whom, detail }: AuditEvent): string {
  const somebody = whom !== null && whom === who ? 'themselves' : (whom ?? 'somebody')
  const beside = detailWords(what, detail)
  // put together by hand: a name may hold any sign that a replacement would heed
  const standIns: Readonly<Record<string, string>> = { '…': somebody, '*': beside }
  const words = deedWords[what].split(/(…|\*)/).map(part => standIns[part] ?? part)
  return `${who ?? 'Somebody who is gone'} ${words.join('').trim()}.`
}

function detailWords(what: AuditKind, detail: string): string {
  if (!(detail in roleWords)) return detail
  const { as } = roleWords[detail as MemberRole]
  if (what === 'role-changed') return as.replace('as ', '')
  return what === 'invited' ? as.replace('as', 'for') : as
}
