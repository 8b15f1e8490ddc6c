import { QueryTypes, type QueryInterface, type Sequelize, type Transaction } from 'sequelize'
import { StartFailure } from '../start-failure.js'
import type { Database } from './connect.js'
import type { Migration } from './migrations/migration.js'
import * as proofs from './migrations/018-proofs-and-news.js'
import * as pinned from './migrations/017-pinned.js'
import * as errands from './migrations/016-errands.js'
import * as people from './migrations/015-people.js'
import * as telling from './migrations/014-tell-changes.js'
import * as devices from './migrations/013-devices.js'
import * as marks from './migrations/012-marks.js'
import * as avoided from './migrations/011-avoided-places.js'
import * as log from './migrations/010-log.js'
import * as shares from './migrations/009-shares.js'
import * as punches from './migrations/008-punch-sizes.js'
import * as makings from './migrations/007-makings.js'
import * as words from './migrations/006-covers-in-words-of-now.js'
import * as rules from './migrations/005-rules.js'
import * as buying from './migrations/004-buying.js'
import * as answers from './migrations/003-answers.js'
import * as stash from './migrations/002-stash.js'
import * as workshops from './migrations/001-workshops.js'

export const migrations: readonly (readonly [name: string, migration: Migration])[] = [
  ['001-workshops', workshops],
  ['002-stash', stash],
  ['003-answers', answers],
  ['004-buying', buying],
  ['005-rules', rules],
  ['006-covers-in-words-of-now', words],
  ['007-makings', makings],
  ['008-punch-sizes', punches],
  ['009-shares', shares],
  ['010-log', log],
  ['011-avoided-places', avoided],
  ['012-marks', marks],
  ['013-devices', devices],
  ['014-tell-changes', telling],
  ['015-people', people],
  ['016-errands', errands],
  ['017-pinned', pinned],
  ['018-proofs-and-news', proofs],
]

/** The number under which those who migrate wait for each other; any, so long as nobody else takes it. */
const lockNumber = 4_180_001
const longestWaitMs = 120_000

/**
 * Brings the tables up to date; gives the names of the steps that were taken. Append only. Each step and the line that
 * notes it are one transaction, so a step cut short leaves nothing; several that start at once wait for each other.
 */
export async function migrate(
  { sequelize, unhurried }: Database,
  steps: typeof migrations = migrations,
): Promise<readonly string[]> {
  if ((await hasTable(sequelize)) && (await areTaken(sequelize, steps))) return []
  return unhurried(async patient => takeInTurn(patient, steps))
}

/** Takes what is missing while nobody else does: over connections without a client’s limit, for whoever waits waits long. */
async function takeInTurn(sequelize: Sequelize, steps: typeof migrations): Promise<readonly string[]> {
  return sequelize.transaction(async lock => {
    await sequelize.query(`SET LOCAL statement_timeout = ${longestWaitMs}`, { transaction: lock })
    await sequelize.query(`SET LOCAL lock_timeout = ${longestWaitMs}`, { transaction: lock })
    await sequelize.query(`SET LOCAL idle_in_transaction_session_timeout = 0`, { transaction: lock })
    await sequelize.query('SELECT pg_advisory_xact_lock($1)', { bind: [lockNumber], transaction: lock })
    await withoutLimit(sequelize, async transaction => {
      await sequelize.query('CREATE TABLE IF NOT EXISTS migrations (name VARCHAR(255) PRIMARY KEY)', {
        transaction,
      })
    })
    if (await areTaken(sequelize, steps)) return []
    // Seldom needed, and a fifth of what a start would read.
    const { Umzug } = await import('umzug')
    const umzug = new Umzug<QueryInterface>({
      migrations: steps.map(([name, migration]) => stepOf(sequelize, name, migration)),
      context: sequelize.getQueryInterface(),
      storage: {
        executed: () => namesOf(sequelize),
        // Noted by the step itself, in its own transaction.
        logMigration: async () => Promise.resolve(),
        unlogMigration: async () => Promise.resolve(),
      },
      logger: undefined,
    })
    return (await umzug.up()).map(({ name }) => name)
  })
}

/** Whether nothing is left to do; throws where more was done than this Snowdrift knows of. */
async function areTaken(sequelize: Sequelize, steps: typeof migrations): Promise<boolean> {
  const taken = await namesOf(sequelize)
  refuseNewer(taken, steps)
  return steps.every(([name]) => taken.includes(name))
}

/** Tables of a later Snowdrift are not written in as if they were ours. */
function refuseNewer(taken: readonly string[], steps: typeof migrations): void {
  const unknown = taken.filter(name => !steps.some(([known]) => known === name))
  if (unknown.length > 0)
    throw new StartFailure(
      `The database was written by a newer Snowdrift (${unknown.join(', ')}). Bring this one up to date first; nothing was changed.`,
    )
}

function stepOf(sequelize: Sequelize, name: string, { up, down }: Migration) {
  const run = (work: (transaction: Transaction) => Promise<void>, note: string) =>
    withoutLimit(sequelize, async transaction => {
      await work(transaction)
      await sequelize.query(note, { bind: [name], transaction })
    })
  return {
    name,
    up: ({ context }: { context: QueryInterface }) =>
      run(transaction => up(context, transaction), 'INSERT INTO migrations (name) VALUES ($1)'),
    down: ({ context }: { context: QueryInterface }) =>
      run(transaction => down(context, transaction), 'DELETE FROM migrations WHERE name = $1'),
  }
}

/** Work in one transaction that the database lets go on for as long as it takes. */
function withoutLimit(
  sequelize: Sequelize,
  work: (transaction: Transaction) => Promise<void>,
): Promise<void> {
  return sequelize.transaction(async transaction => {
    await sequelize.query('SET LOCAL statement_timeout = 0', { transaction })
    await work(transaction)
  })
}

async function hasTable(sequelize: Sequelize): Promise<boolean> {
  const [found] = await sequelize.query<{ name: string | null }>(
    `SELECT to_regclass('migrations')::text AS name`,
    { type: QueryTypes.SELECT },
  )
  return found?.name === 'migrations'
}

async function namesOf(sequelize: Sequelize): Promise<string[]> {
  const rows = await sequelize.query<{ name: string }>('SELECT name FROM migrations ORDER BY name', {
    type: QueryTypes.SELECT,
  })
  return rows.map(({ name }) => name)
}
