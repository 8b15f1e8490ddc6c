import { spawn } from 'node:child_process'
import { chown, mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout } from 'node:timers/promises'
import { findFreePort } from '../cluster/free-port.js'
import { chooseOwner } from '../cluster/postgres-programs.js'

export interface Pool {
  readonly url: string
  readonly stop: () => Promise<void>
}

/** So few connections that transactions of one client come to many of them. */
const connections = 3

/** A pgbouncer before a database that hands out connections by transaction. */
export async function startPool(databaseUrl: string): Promise<Pool> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-pool-'))
  const { uid } = await chooseOwner(folder)
  const target = new URL(databaseUrl)
  const port = await findFreePort()
  const files = {
    'users.txt': `"${target.username}" "${target.password}"\n`,
    'pool.ini': [
      '[databases]',
      `* = host=${target.hostname} port=${target.port}`,
      '[pgbouncer]',
      'listen_addr = 127.0.0.1',
      `listen_port = ${port}`,
      'unix_socket_dir =',
      'auth_type = scram-sha-256',
      `auth_file = ${join(folder, 'users.txt')}`,
      'pool_mode = transaction',
      `default_pool_size = ${connections}`,
      'max_client_conn = 200',
    ].join('\n'),
  }
  for (const [name, text] of Object.entries(files)) {
    await writeFile(join(folder, name), text, { mode: 0o600 })
    if (uid !== undefined) await chown(join(folder, name), uid, -1)
  }
  if (uid !== undefined) await chown(folder, uid, -1)
  const child = spawn('/usr/sbin/pgbouncer', ['-q', join(folder, 'pool.ini')], {
    stdio: 'ignore',
    cwd: '/',
    ...(uid !== undefined && { uid, gid: uid }),
  })
  const ended = new Promise<void>(resolve => child.once('close', () => resolve()))
  await setTimeout(300)
  return {
    url: Object.assign(new URL(databaseUrl), { port: String(port) }).href,
    stop: async () => {
      child.kill('SIGINT')
      await ended
      await rm(folder, { recursive: true, force: true })
    },
  }
}
