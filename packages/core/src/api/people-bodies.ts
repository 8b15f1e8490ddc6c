import { z } from 'zod'
import { check, type ReadResult } from '../file/check.js'
import {
  longestPassphrase,
  memberRoles,
  parseRecoveryCode,
  recoveryCodeLength,
  shortestPassphrase,
} from './people.js'
import { seenName } from './seen-name.js'

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
/** One that is being chosen, and what others know of its owner. */
const strengthBody = z.strictObject({
  passphrase: triedPassphrase,
  own: z.array(z.string().max(60)).max(2).default([]),
})
/** An event up to which somebody read what became of their account. */
const upToBody = z.strictObject({ upTo: z.string().regex(/^\d{1,18}$/) })
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
export const readStrengthBody = reader(strengthBody)
export const readUpToBody = reader(upToBody)
export const readJoinBody = readerByPasskey(joinByPassphrase, joinByPasskey)
export const readSignInBody = readerByPasskey(signInByPassphrase, signInByPasskey)
export const readProofBody = readerByPasskey(proofByPassphrase, proofByPasskey)
export const readRecoverBody = reader(recoverBody)
export const readNewPassphraseBody = reader(z.strictObject({ passphrase }))
export const readNewPasskeyBody = reader(z.strictObject(newPasskey))
export const readRoleBody = reader(z.strictObject({ role }))
export const readNameBody = reader(z.strictObject({ name: seenName }))
