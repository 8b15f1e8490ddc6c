import { codeLetters } from './paired-devices.js'

/** What somebody may do in a workshop: everything; all of its work; look on. */
export const memberRoles = ['owner', 'maker', 'guest'] as const
export type MemberRole = (typeof memberRoles)[number]

/** A workshop that somebody belongs to. */
export interface Membership {
  readonly id: string
  readonly name: string
  readonly role: MemberRole
}

/** Somebody who belongs to a workshop, as the others see them. */
export interface Member {
  readonly id: string
  readonly name: string
  readonly role: MemberRole
  readonly since: string
}

/** An invitation that nobody has taken yet. Its link is shown once, to whoever made it. */
export interface Invitation {
  readonly id: string
  readonly role: MemberRole
  readonly createdAt: string
  readonly expiresAt: string
}

export interface People {
  readonly workshop: Membership
  readonly members: readonly Member[]
  /** None for those who may not invite. */
  readonly invitations: readonly Invitation[]
}

/** What an invitation says to whoever holds it. */
export interface Invited {
  readonly workshop: string
  readonly role: MemberRole
}

/** Somebody about themselves. */
export interface Account {
  readonly id: string
  readonly signInName: string
  readonly name: string
  readonly hasPassphrase: boolean
  readonly passkeys: readonly Passkey[]
  readonly sessions: readonly SignedIn[]
  readonly recoveryCodesLeft: number
  readonly workshops: readonly Membership[]
}

export interface Passkey {
  readonly id: string
  readonly name: string
  readonly createdAt: string
  /** Null before it was used for the first time. */
  readonly usedAt: string | null
}

/** A place where somebody is signed in. */
export interface SignedIn {
  readonly id: string
  readonly device: string
  readonly createdAt: string
  /** To the minute. */
  readonly seenAt: string
  readonly isThis: boolean
}

/** What is noted of people, so that owners can see what happened. */
export const auditKinds = [
  'signed-in',
  'sign-in-failed',
  'signed-out',
  'signed-out-everywhere',
  'session-replayed',
  'joined',
  'left',
  'removed',
  'role-changed',
  'invited',
  'invitation-withdrawn',
  'passphrase-changed',
  'passkey-added',
  'passkey-removed',
  'codes-made',
  'recovered',
  'workshop-renamed',
  'archive-taken-out',
  'archive-taken-in',
  'account-deleted',
] as const
export type AuditKind = (typeof auditKinds)[number]

export interface AuditEvent {
  readonly id: string
  readonly at: string
  readonly what: AuditKind
  /** Null where it was nobody who is known, or their account is deleted. */
  readonly who: string | null
  /** Whom it concerned, if somebody else. */
  readonly whom: string | null
  /** Such as the role that was given; empty where there is no more to say. */
  readonly detail: string
}

/** What becomes of an account and is told in every browser of whoever it belongs to. */
export const accountEventKinds = [
  'passphrase-changed',
  'passkey-added',
  'passkey-removed',
  'codes-made',
  'recovered',
  'signed-in-anew',
] as const
export type AccountEventKind = (typeof accountEventKinds)[number]

export interface AccountEvent {
  readonly id: string
  readonly at: string
  readonly what: AccountEventKind
  /** Where it was done, as that place is called. */
  readonly device: string
}

/** Short ones are guessed, long ones only make a server slow. */
export const shortestPassphrase = 12
export const longestPassphrase = 128
/** How well a passphrase withstands guessing. */
export interface Strength {
  /** From 0, guessed at once, to 4. */
  readonly score: number
  /** Whether it is taken. */
  readonly isEnough: boolean
}
export const invitationDays = 7
export const recoveryCodeCount = 10
/** 16 letters of 31: 79 bits, which nobody tries through. */
export const recoveryCodeLength = 16

const readableCode = new RegExp(`^[${codeLetters}]{${recoveryCodeLength}}$`)

/** A recovery code as somebody types it; undefined where it can be none. */
export function parseRecoveryCode(text: string): string | undefined {
  const code = text.toUpperCase().replace(/[\s\-–—]/g, '')
  return readableCode.test(code) ? code : undefined
}

/** A recovery code as it is shown, in fours. */
export function formatRecoveryCode(code: string): string {
  return code.match(/.{4}/g)?.join('-') ?? code
}

/** What somebody opens to join a workshop. The secret stands behind the #, which no server is sent and no log keeps. */
export function invitationLink(address: string, token: string): string {
  return `${address}/join#${token}`
}
