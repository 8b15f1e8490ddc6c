import { mkdir, readFile, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { StartFailure } from '../start-failure.js'

/**
 * Keeps a second Snowdrift off the same data. A lock whose process has died is taken over. Gives the function that
 * lets go.
 */
export async function lockData(dataFolder: string, address: string): Promise<() => Promise<void>> {
  await mkdir(dataFolder, { recursive: true, mode: 0o700 })
  const file = join(dataFolder, 'running.json')
  const holder = await readHolder(file)
  if (holder && isAlive(holder.pid))
    throw new StartFailure(
      `Snowdrift is running on this data already: ${holder.address} (process ${holder.pid}).`,
    )
  await rm(file, { force: true })
  await writeFile(file, JSON.stringify({ pid: process.pid, address }), { flag: 'wx' })
  return () => rm(file, { force: true })
}

async function readHolder(file: string): Promise<{ pid: number; address: string } | undefined> {
  try {
    return JSON.parse(await readFile(file, 'utf8')) as { pid: number; address: string }
  } catch {
    return undefined
  }
}

/** A process of another user counts as alive; ourselves, after a restart in a container, do not. */
function isAlive(pid: number): boolean {
  if (pid === process.pid) return false
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}
