import { availableParallelism } from 'node:os'
import { Sequelize } from 'sequelize'
import { StartFailure } from '../start-failure.js'
import { defineModels, type Models } from './models/models.js'

export interface Database {
  readonly sequelize: Sequelize
  readonly models: Models
  readonly close: () => Promise<void>
}

/** Connects to `url`; a database that does not answer is a StartFailure that names its address, not its password. */
export async function connect(url: string): Promise<Database> {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    logging: false,
    // More connections than processors only stand in each other's way.
    pool: { max: availableParallelism() + 1, idle: 10_000, acquire: 10_000 },
    dialectOptions: { statement_timeout: 10_000, connectionTimeoutMillis: 5000 },
  })
  try {
    await sequelize.authenticate()
  } catch (error) {
    throw new StartFailure(`The database at ${addressOf(url)} does not answer: ${(error as Error).message}`)
  }
  return { sequelize, models: defineModels(sequelize), close: () => sequelize.close() }
}

function addressOf(url: string): string {
  try {
    const { hostname, port, pathname } = new URL(url)
    return `${hostname}:${port || '5432'}${pathname}`
  } catch {
    return 'DATABASE_URL (which is no address)'
  }
}
