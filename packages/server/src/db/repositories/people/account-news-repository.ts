import type { AccountEvent, AccountEventKind } from '@snowdrift/core'
import { QueryTypes } from 'sequelize'
import type { Session } from '../../session.js'
import { hashOf } from '../secret.js'
import type { RepositoryTools } from '../tools.js'

interface Noted {
  readonly person: string
  readonly what: AccountEventKind
  /** Where it was done, as that place is called. */
  readonly device: string
  /** The token of the browser in which it was done, where that is known: nobody is told there what they just did. */
  readonly browser: string | undefined
}

/**
 * What became of somebody’s account, told in every browser in which they sign in, each once it is said there that it was read:
 * who comes in by what they stole cannot hide it from the others.
 */
export interface AccountNewsRepository {
  readonly note: (noted: Noted) => Promise<void>
  /** What a browser was not told yet, the newest first; nothing that is older than its first sign-in. */
  readonly untold: (person: string, browser: string) => Promise<readonly AccountEvent[]>
  /** It was read there, up to an event. */
  readonly told: (person: string, browser: string, upTo: string) => Promise<void>
  readonly forgetOld: () => Promise<void>
}

const keptMs = 400 * 86_400_000
const mostTold = 20

export function createAccountNewsRepository(
  { sequelize, transaction }: Session,
  { now }: Pick<RepositoryTools, 'now'>,
): AccountNewsRepository {
  const select = <Found extends object>(statement: string, bind: readonly unknown[]) =>
    sequelize.query<Found>(statement, { bind: [...bind], type: QueryTypes.SELECT, transaction })
  return {
    note: async ({ person, what, device, browser }) => {
      await select(
        'INSERT INTO account_events (person_id, at, what, device, by_hash) VALUES ($1, $2, $3, $4, $5) RETURNING id',
        [person, now(), what, device, browser === undefined ? null : hashOf(browser)],
      )
    },
    untold: async (person, browser) => {
      const rows = await select<Omit<AccountEvent, 'at'> & { readonly at: Date }>(
        `SELECT e.id, e.at, e.what, e.device FROM account_events e
         JOIN known_browsers b ON b.person_id = e.person_id AND b.token_hash = $2
         WHERE e.person_id = $1 AND e.at > b.told_at AND e.by_hash IS DISTINCT FROM $2
         ORDER BY e.at DESC LIMIT ${mostTold}`,
        [person, hashOf(browser)],
      )
      return rows.map(({ at, ...event }) => ({ ...event, at: at.toISOString() }))
    },
    told: async (person, browser, upTo) => {
      await select(
        `UPDATE known_browsers b SET told_at = GREATEST(b.told_at, e.at) FROM account_events e
         WHERE b.person_id = $1 AND b.token_hash = $2 AND e.person_id = $1 AND e.id = $3::bigint RETURNING b.person_id`,
        [person, hashOf(browser), upTo],
      )
    },
    forgetOld: async () => {
      await select('DELETE FROM account_events WHERE at < $1 RETURNING id', [
        new Date(now().getTime() - keptMs),
      ])
    },
  }
}
