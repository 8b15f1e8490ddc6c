import { hash, verify, type Options } from '@node-rs/argon2'
import pLimit from 'p-limit'

/** argon2id with 19 MiB and two passes, as its authors and OWASP recommend where many sign in. */
const options: Options = { memoryCost: 19_456, timeCost: 2, parallelism: 1 }
/** More at once would only take the memory and the cores from those who work. */
const atOnce = pLimit(2)
const mostWaiting = 50
/** Of five, the first that takes more than a lucky afternoon to guess where tries are counted. */
const leastStrength = 3

/** Too many wait for their passphrase to be looked at. */
export class TooManyWait extends Error {}

async function inTurn<Value>(work: () => Promise<Value>): Promise<Value> {
  if (atOnce.pendingCount >= mostWaiting) throw new TooManyWait('too many passphrases at once')
  return atOnce(work)
}

export function hashPassphrase(passphrase: string): Promise<string> {
  return inTurn(() => hash(passphrase, options))
}

/** What a passphrase is compared with that is nobody’s: so that it takes as long, whoever it is said to be of. */
const nobodys = hash('nobody’s at all', options)

/** Whether it is the passphrase of that hash; of no hash it never is, and takes as long. */
export async function isPassphrase(passphrase: string, hashed: string | null): Promise<boolean> {
  const compared = hashed ?? (await nobodys)
  const fits = await inTurn(() => verify(compared, passphrase, options))
  return fits && hashed !== null
}

/** Lists of what is common are large: a server at home, where nobody signs in, never loads them. */
async function loadGuesser() {
  const { ZxcvbnFactory } = await import('@zxcvbn-ts/core')
  const { dictionary } = await import('@zxcvbn-ts/language-common')
  return new ZxcvbnFactory({ dictionary })
}

let guesser: ReturnType<typeof loadGuesser> | undefined

/** Why a new passphrase would be guessed, in a sentence; undefined where it would not. `own` is what others know of its owner. */
export async function weaknessOf(passphrase: string, own: readonly string[]): Promise<string | undefined> {
  guesser ??= loadGuesser()
  const { score } = (await guesser).check(passphrase, [...own])
  return score >= leastStrength
    ? undefined
    : 'It would be guessed: it is common, repeats itself, or is made of your name. Four or five words that have nothing to do with each other make a good one.'
}
