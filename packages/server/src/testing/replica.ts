import { chown, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { findFreePort } from '../cluster/free-port.js'
import { chooseOwner, findPostgresPrograms } from '../cluster/postgres-programs.js'

export interface Replica {
  readonly url: string
  /** Does nothing where it was stopped before. */
  readonly stop: () => Promise<void>
}

/** A second PostgreSQL that follows the first, as it is written. */
export async function startReplica(databaseUrl: string): Promise<Replica> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-replica-'))
  const { uid, run } = await chooseOwner(folder)
  if (uid !== undefined) await chown(folder, uid, -1)
  const programs = await findPostgresPrograms()
  const data = join(folder, 'data')
  const port = await findFreePort()
  await run(join(programs, 'pg_basebackup'), [
    '-d',
    databaseUrl,
    '-D',
    data,
    '-R',
    '-X',
    'stream',
    '-c',
    'fast',
  ])
  const options = `-c port=${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories= -c hot_standby=on`
  await run(join(programs, 'pg_ctl'), [
    'start',
    '-D',
    data,
    '-w',
    '-l',
    join(data, 'replica.log'),
    '-o',
    options,
  ])
  let runs = true
  return {
    url: Object.assign(new URL(databaseUrl), { port: String(port) }).href,
    stop: async () => {
      if (!runs) return
      runs = false
      await run(join(programs, 'pg_ctl'), ['stop', '-D', data, '-m', 'immediate', '-w'])
      await rm(folder, { recursive: true, force: true })
    },
  }
}
