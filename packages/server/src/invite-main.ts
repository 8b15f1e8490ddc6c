import { invitationDays, invitationLink } from '@snowdrift/core'
import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import { startCluster } from './cluster/cluster.js'
import { findPostmaster } from './cluster/postmaster.js'
import { connect } from './db/connect.js'
import { createRepositories } from './db/repositories/repositories.js'
import { ensureWorkshop } from './db/repositories/workshops.js'
import { readEnvironment } from './environment.js'
import { StartFailure } from './start-failure.js'

try {
  const [name, ...others] = process.argv.slice(2).map(word => word.trim())
  if (!name || others.length > 0) throw new StartFailure('Usage: ./snowdrift invite "NAME OF THE WORKSHOP"')
  await invite(name)
} catch (error) {
  console.error(error instanceof StartFailure ? `snowdrift: ${error.message}` : error)
  process.exit(1)
}

/** Makes a workshop, and prints the link by which its owner comes in. */
async function invite(name: string): Promise<void> {
  const { dataFolder, databaseUrl, isPooled, hosted } = readEnvironment(process.env)
  if (!hosted)
    throw new StartFailure(
      'Nobody is invited at home. Say SNOWDRIFT_MODE=hosted and SNOWDRIFT_URL, as the server does.',
    )
  const database = await connect(databaseUrl ?? (await runningDatabase(dataFolder)), { isPooled })
  try {
    const repositories = createRepositories(database, { now: () => new Date(), newId: randomUUID })
    const workshop = await ensureWorkshop(database.models, randomUUID(), randomUUID)
    const { members } = repositories.people
    await members.rename(workshop, name)
    const invited = await members.invite(workshop, 'owner')
    console.log(`“${name}” waits for its owner, who comes in here, once, within ${invitationDays} days:`)
    console.log(invitationLink(hosted.origin, invited?.token ?? ''))
  } finally {
    await database.close()
  }
}

async function runningDatabase(dataFolder: string): Promise<string> {
  if (!(await findPostmaster(join(dataFolder, 'postgres'))))
    throw new StartFailure('Snowdrift does not run on this data. Start it first.')
  return (await startCluster(dataFolder)).url
}
