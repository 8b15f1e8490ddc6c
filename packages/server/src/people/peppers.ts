import { createHash } from 'node:crypto'
import { readFile, stat } from 'node:fs/promises'
import { StartFailure } from '../start-failure.js'

/** A secret that goes into the hashes of passphrases and is not in the database: who has that alone guesses none of them. */
export interface Pepper {
  /** By which a hash says with which secret it was made; tells nothing of it. */
  readonly name: string
  readonly secret: Buffer
}

const shortest = 32
const most = 8

/**
 * Reads a file of secrets, one a line, the newest first; the older ones are kept until nobody’s hash is made with them. A
 * StartFailure where it cannot be read, others may read it, or a secret is short.
 */
export async function readPeppers(file: string): Promise<readonly Pepper[]> {
  const { text, mode } = await read(file)
  if ((mode & 0o007) !== 0)
    throw new StartFailure(`Everybody on this machine may read ${file}. Say: chmod 600 ${file}`)
  const lines = text
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
  if (lines.length === 0 || lines.length > most || lines.some(line => line.length < shortest))
    throw new StartFailure(
      `SNOWDRIFT_PEPPER_FILE must hold 1 to ${most} secrets, one a line, of ${shortest} signs at least, the newest first. One is made by: openssl rand -base64 33`,
    )
  return lines.map(line => ({ name: nameOf(line), secret: Buffer.from(line, 'utf8') }))
}

async function read(file: string) {
  try {
    return { text: await readFile(file, 'utf8'), mode: (await stat(file)).mode }
  } catch (error) {
    throw new StartFailure(`SNOWDRIFT_PEPPER_FILE cannot be read: ${(error as Error).message}`)
  }
}

function nameOf(secret: string): string {
  return createHash('sha256').update(`name of ${secret}`).digest('hex').slice(0, 12)
}
