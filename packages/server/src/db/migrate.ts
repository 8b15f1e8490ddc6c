import type { QueryInterface, Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import * as stash from './migrations/002-stash.js'
import * as workshops from './migrations/001-workshops.js'

/** Brings the tables up to date; gives the names of the steps that were taken. Append only. */
export async function migrate(sequelize: Sequelize): Promise<readonly string[]> {
  const umzug = new Umzug<QueryInterface>({
    migrations: [step('001-workshops', workshops), step('002-stash', stash)],
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  })
  return (await umzug.up()).map(({ name }) => name)
}

function step(name: string, { up, down }: typeof workshops) {
  return {
    name,
    up: ({ context }: { context: QueryInterface }) => up(context),
    down: ({ context }: { context: QueryInterface }) => down(context),
  }
}
