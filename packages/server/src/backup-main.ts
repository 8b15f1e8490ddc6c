import { stat } from 'node:fs/promises'
import { join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { backUp } from './backup/back-up.js'
import { restore } from './backup/restore.js'
import { startCluster } from './cluster/cluster.js'
import { lockData } from './cluster/data-lock.js'
import { findPostmaster } from './cluster/postmaster.js'
import { ensureDataFolder } from './data-folder.js'
import { readEnvironment } from './environment.js'
import { StartFailure } from './start-failure.js'

const usage = 'Usage: ./snowdrift backup --out PATH, or ./snowdrift restore PATH'

const wanted = readArguments(process.argv.slice(2))
if (!wanted) {
  console.error(usage)
  process.exit(2)
}
try {
  await (wanted.command === 'backup' ? writeBackup(wanted.path) : putBack(wanted.path))
} catch (error) {
  console.error(error instanceof StartFailure ? `snowdrift: ${error.message}` : error)
  process.exit(1)
}

interface Wanted {
  readonly command: 'backup' | 'restore'
  readonly path: string
}

/** Undefined where the words are off. */
function readArguments(args: readonly string[]): Wanted | undefined {
  try {
    const { values, positionals } = parseArgs({
      args: [...args],
      options: { out: { type: 'string' } },
      allowPositionals: true,
    })
    const [command, path, ...others] = positionals
    if (others.length > 0) return undefined
    if (command === 'backup' && path === undefined && values.out)
      return { command, path: resolve(values.out) }
    if (command === 'restore' && path !== undefined && values.out === undefined)
      return { command, path: resolve(path) }
    return undefined
  } catch {
    return undefined
  }
}

/** Of a database that runs, or of one that is started for it and stopped again. */
async function writeBackup(out: string): Promise<void> {
  const { dataFolder, databaseUrl } = readEnvironment(process.env)
  const folder = join(dataFolder, 'postgres')
  if (databaseUrl !== undefined) await backUp(databaseUrl, out)
  else if (!(await stat(folder).catch(() => undefined)))
    throw new StartFailure(`Nothing is kept in ${dataFolder} yet. Name another place with SNOWDRIFT_DATA.`)
  else if (await findPostmaster(folder)) {
    const { url } = await startCluster(dataFolder)
    await backUp(url, out)
  } else await withOwnDatabase(dataFolder, url => backUp(url, out))
  console.log(`Everything is in ${out}. ./snowdrift restore brings it back, into an empty place.`)
}

async function putBack(file: string): Promise<void> {
  const { dataFolder, databaseUrl } = readEnvironment(process.env)
  if (databaseUrl !== undefined) await restore(databaseUrl, file)
  else await withOwnDatabase(dataFolder, url => restore(url, file))
  console.log(`Everything is back. ./snowdrift start goes on with it.`)
}

/** Nobody else uses the data meanwhile. */
async function withOwnDatabase(dataFolder: string, work: (url: string) => Promise<void>): Promise<void> {
  await ensureDataFolder(dataFolder)
  const letGo = await lockData(dataFolder, 'a backup')
  try {
    const cluster = await startCluster(dataFolder)
    await work(cluster.url).finally(cluster.stop)
  } finally {
    await letGo()
  }
}
