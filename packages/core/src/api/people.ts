import { z } from 'zod'
import { check, type ReadResult } from '../file/check.js'
import { codeLetters } from './paired-devices.js'
import { seenName } from './seen-name.js'

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
  /** Until when what is hard to take back may be done without another proof. */
  readonly confirmedUntil: string
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

/** Short ones are guessed, long ones only make a server slow. */
export const shortestPassphrase = 12
export const longestPassphrase = 128
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

const token = z.string().regex(/^[A-Za-z0-9_-]{43}$/, 'This is no invitation. Open the whole link.')
/** Letters as they are compared: a name in capitals, or written by another keyboard, is the same name. */
const signInName = z
  .string()
  .transform(text => text.trim().normalize('NFKC').toLowerCase())
  .pipe(
    z
      .string()
      .max(60)
      .regex(
        /^[\p{L}\p{N}][\p{L}\p{N}._@+-]{2,}$/u,
        'Three letters or more: letters, digits and . _ @ + - are taken.',
      ),
  )
/** In signs, not in halves of them. */
const lengthOf = (text: string) => Array.from(text).length
/** As somebody types it at any keyboard; nothing of it is cut off. */
const passphrase = z
  .string()
  .max(4 * longestPassphrase)
  .transform(text => text.normalize('NFKC'))
  .refine(
    text => lengthOf(text) >= shortestPassphrase,
    `At least ${shortestPassphrase} letters. Four or five words make a good one.`,
  )
  .refine(text => lengthOf(text) <= longestPassphrase, `At most ${longestPassphrase} letters.`)
/** One that is tried; what it must be like is asked only of a new one. */
const triedPassphrase = z
  .string()
  .min(1)
  .max(4 * longestPassphrase)
  .transform(text => text.normalize('NFKC'))
/** What the browser answers; read by whoever proves it. */
const fromPasskey = z.strictObject({
  ceremony: z.uuid(),
  response: z.looseObject({ id: z.string().max(1500) }),
})
export type FromPasskey = z.output<typeof fromPasskey>

const role = z.enum(memberRoles)
const tokenBody = z.strictObject({ token })
const joining = { token, signInName, name: seenName, device: seenName }
const newPasskey = { passkey: fromPasskey, passkeyName: seenName }
const joinByPassphrase = z.strictObject({ ...joining, passphrase })
const joinByPasskey = z.strictObject({ ...joining, ...newPasskey })
const signInByPassphrase = z.strictObject({ signInName, passphrase: triedPassphrase, device: seenName })
const signInByPasskey = z.strictObject({ passkey: fromPasskey, device: seenName })
const proofByPassphrase = z.strictObject({ passphrase: triedPassphrase })
const proofByPasskey = z.strictObject({ passkey: fromPasskey })
const recoverBody = z.strictObject({
  signInName,
  code: z.string().transform((text, context) => {
    const code = parseRecoveryCode(text)
    if (code !== undefined) return code
    context.addIssue({ code: 'custom', message: `A code has ${recoveryCodeLength} letters and digits.` })
    return z.NEVER
  }),
  device: seenName,
  passphrase,
})

export type JoinBody = z.output<typeof joinByPassphrase> | z.output<typeof joinByPasskey>
export type SignInBody = z.output<typeof signInByPassphrase> | z.output<typeof signInByPasskey>
/** By what somebody who is signed in shows that it is still they. */
export type Proof = z.output<typeof proofByPassphrase> | z.output<typeof proofByPasskey>
export type RecoverBody = z.output<typeof recoverBody>

/** Reads a body of one shape; what is off is said by its place. */
function reader<Body>(schema: z.ZodType<Body>) {
  return (input: unknown): ReadResult<Body> => check(schema, input)
}

/** The same of two shapes: which of them is meant says whether a passkey is there, so that the other is not spoken of. */
function readerByPasskey<One, Other>(without: z.ZodType<One>, withIt: z.ZodType<Other>) {
  const [readWithout, readWith] = [reader<One | Other>(without), reader<One | Other>(withIt)]
  return (input: unknown): ReadResult<One | Other> =>
    typeof input === 'object' && input !== null && 'passkey' in input ? readWith(input) : readWithout(input)
}

export const readTokenBody = reader(tokenBody)
export const readJoinBody = readerByPasskey(joinByPassphrase, joinByPasskey)
export const readSignInBody = readerByPasskey(signInByPassphrase, signInByPasskey)
export const readProofBody = readerByPasskey(proofByPassphrase, proofByPasskey)
export const readRecoverBody = reader(recoverBody)
export const readNewPassphraseBody = reader(z.strictObject({ passphrase }))
export const readNewPasskeyBody = reader(z.strictObject(newPasskey))
export const readRoleBody = reader(z.strictObject({ role }))
export const readNameBody = reader(z.strictObject({ name: seenName }))
