import { availableParallelism } from 'node:os'
import { setTimeout } from 'node:timers/promises'
import { Sequelize } from 'sequelize'
import { StartFailure } from '../start-failure.js'
import { driver } from './listening-client.js'
import { defineModels, type Models } from './models/models.js'

export interface Database {
  readonly sequelize: Sequelize
  readonly models: Models
  /** Whether each transaction may come to another connection of the server: what one remembers another does not know. */
  readonly isPooled: boolean
  /** Does what may take as long as it takes, such as a change of many rows, over connections on which the client never gives up. */
  readonly unhurried: <T>(work: (sequelize: Sequelize) => Promise<T>) => Promise<T>
  readonly close: () => Promise<void>
}

/**
 * How long things may take. The database ends its own statements; where it is not even able to do that, the client
 * gives up a little later. Nothing waits without an end.
 */
const serverLimits = {
  statement_timeout: 8000,
  lock_timeout: 6000,
  idle_in_transaction_session_timeout: 15_000,
}
const clientLimits = { connectionTimeoutMillis: 3000, query_timeout: 10_000 }
type Limits = typeof serverLimits & typeof clientLimits

export interface ConnectOptions {
  readonly limits?: Partial<Limits>
  /** A pool that hands out connections by transaction stands between, such as pgbouncer. */
  readonly isPooled?: boolean
}

/**
 * Connections beyond twice the processors only stand in each other's way; fewer, and writes that wait for one another
 * would keep those from reading who wait for nobody.
 */
const connections = () => 2 * availableParallelism() + 2

/**
 * Connects to `url`, patiently where the database is only slow or still starting; one that does not answer is a
 * StartFailure that names its address, not its password.
 */
export async function connect(
  url: string,
  { limits = {}, isPooled = false }: ConnectOptions = {},
): Promise<Database> {
  const open = (within: Partial<Limits>) =>
    new Sequelize(url, {
      dialect: 'postgres',
      dialectModule: driver,
      logging: false,
      pool: { max: connections(), idle: 10_000, acquire: 5000 },
      // Such a pool takes no limits with a connection: `limitRole` leaves them where each connection finds them.
      dialectOptions: { ...(isPooled ? {} : serverLimits), ...clientLimits, ...within },
    })
  const sequelize = open(limits)
  try {
    await authenticatePatiently(sequelize)
  } catch (error) {
    await sequelize.close().catch(() => undefined)
    throw new StartFailure(`The database at ${addressOf(url)} does not answer: ${(error as Error).message}`)
  }
  return {
    sequelize,
    models: defineModels(sequelize),
    isPooled,
    unhurried: async work => {
      const patient = open({ ...limits, query_timeout: 0 })
      try {
        return await work(patient)
      } finally {
        await patient.close()
      }
    },
    close: () => sequelize.close(),
  }
}

/**
 * Leaves the limits of what may take how long with the role by which a pool connects, for this database. Connections that
 * the pool had open before the very first time know them once it renews them.
 */
export async function limitRole({ sequelize }: Database): Promise<void> {
  const [[{ name } = { name: '' }]] = (await sequelize.query('SELECT current_database() AS name')) as [
    readonly { readonly name: string }[],
    unknown,
  ]
  const database = sequelize.getQueryInterface().quoteIdentifier(name, true)
  for (const [limit, ms] of Object.entries(serverLimits))
    await sequelize.query(`ALTER ROLE CURRENT_USER IN DATABASE ${database} SET ${limit} = ${ms}`)
}

const tries = 5

async function authenticatePatiently(sequelize: Sequelize): Promise<void> {
  for (let left = tries; ; left--) {
    try {
      return await sequelize.authenticate()
    } catch (error) {
      if (left <= 1 || !isNotYet((error as { parent?: unknown }).parent)) throw error
    }
    await setTimeout(pauseMs)
  }
}

const pauseMs = 200
const cannotConnectNow = '57P03'

/** The client's own limit, which a machine that stands still for a moment reaches, or a database on its way up. */
function isNotYet(cause: unknown): boolean {
  const { code, message } = cause as { readonly code?: string; readonly message?: string }
  return code === cannotConnectNow || message === 'timeout expired'
}

function addressOf(url: string): string {
  try {
    const { hostname, port, pathname } = new URL(url)
    return `${hostname}:${port || '5432'}${pathname}`
  } catch {
    return 'DATABASE_URL (which is no address)'
  }
}
