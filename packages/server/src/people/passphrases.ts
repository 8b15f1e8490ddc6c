import type { Strength } from '@snowdrift/core'
import { hash, verify, type Options } from '@node-rs/argon2'
import pLimit from 'p-limit'
import type { Pepper } from './peppers.js'

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

export interface Passphrases {
  readonly hash: (passphrase: string) => Promise<string>
  /** Whether it is the passphrase of that hash; of no hash it never is, and takes as long. */
  readonly fits: (passphrase: string, hashed: string | null) => Promise<boolean>
  /** Whether a hash was made otherwise than one would be now, and is to be made anew when its passphrase is at hand. */
  readonly isOld: (hashed: string) => Promise<boolean>
  /** What the secrets at hand are called, the newest first; none where hashes are made without. */
  readonly names: () => Promise<readonly string[]>
}

/**
 * Passphrases as they are kept: argon2id, with a secret that the database does not know where there is one. Such a hash begins
 * with the name of its secret; the first of several is taken for new ones, the others until theirs are made anew.
 */
export function createPassphrases(peppers: readonly Pepper[]): Passphrases {
  const [newest] = peppers
  const using = (pepper: Pepper | undefined): Options =>
    pepper ? { ...options, secret: pepper.secret } : options
  const make = async (passphrase: string) => {
    const made = await hash(passphrase, using(newest))
    return newest ? `${newest.name}${made}` : made
  }
  // What a passphrase is compared with that is nobody’s: so that it takes as long, whoever it is said to be of.
  const nobodys = make('nobody’s at all')
  return {
    hash: passphrase => inTurn(() => make(passphrase)),
    fits: async (passphrase, hashed) => {
      const compared = hashed ?? (await nobodys)
      const name = pepperOf(compared)
      const pepper = peppers.find(known => known.name === name)
      const bare = compared.slice(name.length)
      const fits = await inTurn(() => verify(bare, passphrase, using(pepper)))
      return fits && hashed !== null
    },
    isOld: async hashed => Promise.resolve(pepperOf(hashed) !== (newest?.name ?? '')),
    names: async () => Promise.resolve(peppers.map(({ name }) => name)),
  }
}

/** The name of the secret that a hash was made with; empty where it was made without. */
export function pepperOf(hashed: string): string {
  return hashed.slice(0, Math.max(0, hashed.indexOf('$')))
}

/** Lists of what is common are large: a server at home, where nobody signs in, never loads them. */
async function loadGuesser() {
  const { ZxcvbnFactory } = await import('@zxcvbn-ts/core')
  const { dictionary } = await import('@zxcvbn-ts/language-common')
  return new ZxcvbnFactory({ dictionary })
}

let guesser: ReturnType<typeof loadGuesser> | undefined

/** How well a passphrase withstands guessing. `own` is what others know of its owner. */
export async function strengthOf(passphrase: string, own: readonly string[]): Promise<Strength> {
  guesser ??= loadGuesser()
  const { score } = (await guesser).check(passphrase, [...own])
  return { score, isEnough: score >= leastStrength }
}

/** Why a new passphrase would be guessed, in a sentence; undefined where it would not. */
export async function weaknessOf(passphrase: string, own: readonly string[]): Promise<string | undefined> {
  return (await strengthOf(passphrase, own)).isEnough
    ? undefined
    : 'It would be guessed: it is common, repeats itself, or is made of your name. Four or five words that have nothing to do with each other make a good one.'
}
