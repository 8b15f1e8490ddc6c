import type { Sequelize } from 'sequelize'
import type { PersonRepository } from '../db/repositories/people/person-repository.js'
import { createTries, enterLimits, type EnterTries } from '../http/tries.js'
import type { Log } from '../log.js'
import type { Hosting } from '../hosting.js'
import { KeeperAway, passphrasesApart } from '../keeper/passphrases-apart.js'
import { createPassphrases, type Passphrases } from './passphrases.js'
import { readPeppers } from './peppers.js'
import { createRelyingParty, type RelyingParty } from './relying-party.js'

/** How people sign in, where they do. */
export interface Accounts {
  readonly tries: EnterTries
  readonly relyingParty: RelyingParty
  readonly passphrases: Passphrases
  /** Whether owners do what only they may once they came in by a passkey, and not before. */
  readonly isStrict: boolean
}

interface Opened {
  readonly persons: PersonRepository
  readonly sequelize: Sequelize
  readonly log: Log
}

/** Reads the secrets, or asks whoever holds them, and says whom a lost one keeps out. */
export async function openAccounts(
  { origin, pepperFile, pepperSocket, isStrict }: Hosting,
  { persons, sequelize, log }: Opened,
): Promise<Accounts> {
  const passphrases =
    pepperSocket === undefined
      ? createPassphrases(pepperFile === undefined ? [] : await readPeppers(pepperFile))
      : passphrasesApart(pepperSocket)
  await tellKeptOut(passphrases, persons, log)
  return {
    tries: createTries(sequelize, 'enter', enterLimits),
    relyingParty: createRelyingParty(origin),
    passphrases,
    isStrict: isStrict ?? false,
  }
}

/** Whoever holds the secrets may begin after us, or anew: that keeps nobody out who comes by a passkey. */
async function tellKeptOut(passphrases: Passphrases, persons: PersonRepository, log: Log): Promise<void> {
  try {
    const known = new Set(['', ...(await passphrases.names())])
    const keptOut = (await persons.countByPepper()).filter(({ pepper }) => !known.has(pepper))
    for (const { pepper, people } of keptOut)
      log.error(
        { pepper, people },
        'passphrases were made with a secret that is not in SNOWDRIFT_PEPPER_FILE: bring it back, or these people come in by a passkey or a recovery code',
      )
  } catch (error) {
    if (!(error instanceof KeeperAway)) throw error
    log.error(
      { error: error.message },
      'nobody holds the secrets of passphrases: start ./snowdrift keep-secrets',
    )
  }
}
