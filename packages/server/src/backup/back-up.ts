import { rename, rm, stat } from 'node:fs/promises'
import { StartFailure } from '../start-failure.js'
import { runClient } from './postgres-client.js'

/**
 * Writes the whole database into one file, as it stands at one moment, while it goes on being used. The file appears when
 * it is whole; one that stands there already is a StartFailure. PostgreSQL's own archive format, readable by its programs.
 */
export async function backUp(url: string, out: string): Promise<void> {
  if (await stat(out).catch(() => undefined))
    throw new StartFailure(`${out} is there already. Choose another name, or move it away.`)
  const half = `${out}.${process.pid}.half`
  try {
    await runClient('pg_dump', ['--format=custom', '--no-owner', '--no-privileges', `--file=${half}`], url)
    await rename(half, out)
  } catch (error) {
    if (error instanceof StartFailure) throw error
    throw new StartFailure(`${out} could not be written: ${(error as Error).message}`)
  } finally {
    await rm(half, { force: true })
  }
}
