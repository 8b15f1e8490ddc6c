import { randomUUID } from 'node:crypto'
import { limitRole, type Database } from './db/connect.js'
import { migrate } from './db/migrate.js'
import { createRepositories, type Repositories } from './db/repositories/repositories.js'
import type { RepositoryTools } from './db/repositories/tools.js'
import { ensureWorkshop } from './db/repositories/workshops.js'

/** Whose a server's work is: there as soon as this is, with its tables, however many processes ask at once. */
export interface Prepared {
  readonly repositories: Repositories
  readonly workshop: string
}

/** What rows are made with. */
export const rowTools = { now: () => new Date(), newId: randomUUID }

/** Brings the tables up to date and makes the workshop. Demo and own work are workshops of their own. */
export async function prepare(
  database: Database,
  demo: boolean,
  tools: RepositoryTools = rowTools,
): Promise<Prepared> {
  if (database.isPooled) await limitRole(database)
  await migrate(database)
  const repositories = createRepositories(database, tools)
  const workshop = await ensureWorkshop(database.models, demo ? 'demo' : 'home', randomUUID)
  if (demo) await (await import('./demo/load-demo.js')).loadDemo(repositories, workshop, tools.now())
  return { repositories, workshop }
}
