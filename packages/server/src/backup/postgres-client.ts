import { execFile } from 'node:child_process'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { findPostgresPrograms } from '../cluster/postgres-programs.js'
import { StartFailure } from '../start-failure.js'

const run = promisify(execFile)
const mostOutputBytes = 64 * 1024 * 1024

/**
 * Runs one of PostgreSQL's own client programs against the database of `url`; gives what it prints. The password goes by
 * the environment: arguments are seen by everybody on the machine. What it complains of first is a StartFailure.
 */
export async function runClient(
  program: 'pg_dump' | 'pg_restore',
  args: readonly string[],
  url?: string,
): Promise<string> {
  const programs = await findPostgresPrograms()
  const where = url === undefined ? {} : environmentOf(new URL(url))
  try {
    const { stdout } = await run(join(programs, program), [...args], {
      env: { ...process.env, LC_ALL: 'C', ...where },
      maxBuffer: mostOutputBytes,
    })
    return stdout
  } catch (error) {
    throw new StartFailure(complaintOf(program, error))
  }
}

function environmentOf({ hostname, port, username, password, pathname, searchParams }: URL) {
  const sslmode = searchParams.get('sslmode')
  return {
    PGHOST: hostname,
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: decodeURIComponent(pathname.slice(1)) || 'postgres',
    ...(sslmode !== null && { PGSSLMODE: sslmode }),
  }
}

function complaintOf(program: string, error: unknown): string {
  const { stderr = '', message } = error as { readonly stderr?: string; readonly message: string }
  const said = stderr.split('\n').find(line => /error|FATAL/i.test(line)) ?? message.split('\n')[0] ?? ''
  return `${program} could not do it: ${said.replace(/^pg_\w+: (error: )?/, '').trim()}`
}
