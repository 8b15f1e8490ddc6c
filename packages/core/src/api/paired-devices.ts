import { z } from 'zod'
import { check, type ReadResult } from '../file/check.js'
import { seenName } from './seen-name.js'

/** Letters and digits that nobody takes for one another, in print or by ear: neither 0 nor O, neither 1, I nor L. */
export const codeLetters = '23456789ABCDEFGHJKMNPQRSTUVWXYZ'
export const codeLength = 8
export const codeMinutes = 10
const readable = new RegExp(`^[${codeLetters}]{${codeLength}}$`)

/** A code as somebody types it, without regard to case, blanks and dashes; undefined where it can be none. */
export function parsePairingCode(text: string): string | undefined {
  const code = text.toUpperCase().replace(/[\s\-–—]/g, '')
  return readable.test(code) ? code : undefined
}

/** A code as it is shown: in two halves, so that it can be kept in mind from one screen to the other. */
export function formatPairingCode(code: string): string {
  return `${code.slice(0, codeLength / 2)}-${code.slice(codeLength / 2)}`
}

const pairBody = z.strictObject({
  code: z.string().transform((text, context) => {
    const code = parsePairingCode(text)
    if (code !== undefined) return code
    context.addIssue({ code: 'custom', message: `A code has ${codeLength} letters and digits.` })
    return z.NEVER
  }),
  name: seenName,
})
export type PairBody = z.output<typeof pairBody>

/** What a device sends that wants to be let in. */
export function readPairBody(input: unknown): ReadResult<PairBody> {
  return check(pairBody as unknown as z.ZodType<PairBody>, input)
}

const sharingBody = z.strictObject({ isOn: z.boolean() })
export type SharingBody = z.output<typeof sharingBody>

export function readSharingBody(input: unknown): ReadResult<SharingBody> {
  return check(sharingBody, input)
}

/** A phone or tablet that was let in. Its token is given to it once, and kept nowhere else. */
export interface PairedDevice {
  readonly id: string
  readonly name: string
  readonly createdAt: string
  /** When it last asked for something, to the minute. */
  readonly seenAt: string
}

/** Where other devices reach the server, if at all. */
export interface Sharing {
  readonly isOn: boolean
  /** What to open there, the likeliest first; none while sharing is off. */
  readonly addresses: readonly string[]
  /** Whether what goes to and fro can be read by nobody on the way. */
  readonly isSealed: boolean
}

/** A code to pair with, as the first machine shows it. */
export interface PairingCode {
  readonly code: string
  readonly expiresAt: string
}

/** Where an answer says for whom a device may keep it; without it nothing is kept. */
export const keptForHeader = 'Snowdrift-Kept-For'

/** What a phone or tablet opens to be let in. The code stands behind the #, which no server is sent and no log keeps. */
export function pairingLink(address: string, { code }: PairingCode): string {
  return `${address}/pair#${code}`
}
