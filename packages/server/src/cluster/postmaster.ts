import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { findProcess, isSameStart } from './running-process.js'

/** The server process of a cluster. */
export interface Postmaster {
  readonly pid: number
  readonly port: number
}

/**
 * The server that runs on the cluster in `folder`, as far as it is one: the process that postmaster.pid names may have
 * died, and its number may belong to anything by now. Nothing is ever signalled on the word of that file alone.
 */
export async function findPostmaster(folder: string): Promise<Postmaster | undefined> {
  const [pid, , startedAt, port] = await readLines(folder)
  const found = await findProcess(Number(pid))
  if (!found) return undefined
  const ours = found.command.includes(folder) && /postgres/.test(found.command)
  return ours && isSameStart(found.startedAtMs, Number(startedAt) * 1000)
    ? { pid: Number(pid), port: Number(port) }
    : undefined
}

/** Higher than any system counts its processes. */
const nobody = 2_147_483_647

/**
 * Where the number in postmaster.pid belongs to another process now, or to a zombie, PostgreSQL would not start for fear
 * of it. The number is replaced by one that nobody has; the rest stays, by which PostgreSQL sees whether anything of the
 * old server still writes.
 */
export async function clearForeignPid(folder: string): Promise<void> {
  const [pid, ...rest] = await readLines(folder)
  if (rest.length === 0 || !isTaken(Number(pid)) || (await findPostmaster(folder))) return
  await writeFile(pidFile(folder), [nobody, ...rest].join('\n'))
}

/** Whether the system counts a process of that number, living or not. */
function isTaken(pid: number): boolean {
  if (!Number.isInteger(pid) || pid < 1) return false
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}

/** Process, folder, start in seconds, port, …; none where there is no such file. */
async function readLines(folder: string): Promise<readonly string[]> {
  const text = await readFile(pidFile(folder), 'utf8').catch(() => '')
  return text === '' ? [] : text.split('\n')
}

function pidFile(folder: string): string {
  return join(folder, 'postmaster.pid')
}
