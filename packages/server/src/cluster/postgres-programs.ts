import { execFile } from 'node:child_process'
import { readdir } from 'node:fs/promises'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { StartFailure } from '../start-failure.js'

const run = promisify(execFile)

/** The folder with initdb and pg_ctl: Debian's newest version, else what is on the PATH. */
export async function findPostgresPrograms(): Promise<string> {
  const debian = '/usr/lib/postgresql'
  const versions = await readdir(debian).catch(() => [])
  const newest = versions.filter(name => /^\d+$/.test(name)).sort((a, b) => Number(b) - Number(a))[0]
  if (newest !== undefined) return join(debian, newest, 'bin')
  const found = await run('sh', ['-c', 'dirname "$(readlink -f "$(command -v initdb)")"']).catch(
    () => undefined,
  )
  if (found?.stdout.trim()) return found.stdout.trim()
  throw new StartFailure('PostgreSQL is not installed. On Debian: apt-get install postgresql')
}

/** Runs a program as the user that may own a cluster; PostgreSQL refuses to run as root. */
export type RunAsOwner = (program: string, args: readonly string[]) => Promise<string>

/**
 * How to run PostgreSQL's programs over `folder`: as ourselves, or, when we are root, as the user postgres. Where a
 * folder above is closed to that user, it is given leave to look through folders, and nothing else.
 */
export async function chooseOwner(
  folder: string,
): Promise<{ readonly uid?: number; readonly run: RunAsOwner }> {
  if (process.getuid?.() !== 0) return { run: runWith([]) }
  const uid = Number((await run('id', ['-u', 'postgres']).catch(() => ({ stdout: 'none' }))).stdout)
  if (Number.isNaN(uid))
    throw new StartFailure(
      'There is no user “postgres” to run the database as; PostgreSQL refuses to run as root.',
    )
  const become = ['setpriv', '--reuid=postgres', '--regid=postgres', '--init-groups']
  const search = ['--inh-caps=-all,+dac_read_search', '--ambient-caps=-all,+dac_read_search']
  for (const prefix of [become, [...become, ...search]])
    if (await canReach(prefix, folder)) return { uid, run: runWith(prefix) }
  throw new StartFailure(
    `The database cannot reach ${folder}: it runs as the user postgres, and a folder above is closed to others. Choose another place with SNOWDRIFT_DATA.`,
  )
}

function runWith(prefix: readonly string[]): RunAsOwner {
  return async (program, args) => {
    const [command = program, ...rest] = [...prefix, program, ...args]
    const { stdout } = await run(command, rest, { cwd: '/', env: { ...process.env, LC_ALL: 'C' } })
    return stdout
  }
}

/** Looks rather than asks: access(2), and so test -x, leaves capabilities out of account. */
async function canReach([command = '', ...prefix]: readonly string[], folder: string): Promise<boolean> {
  return run(command, [...prefix, 'stat', `${folder}/.`]).then(
    () => true,
    () => false,
  )
}
