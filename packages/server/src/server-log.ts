import { join } from 'node:path'
import pino, { type Logger } from 'pino'
import openRolling from 'pino-roll'

export interface ServerLog {
  readonly log: Logger
  /** Writes what is left. */
  readonly close: () => Promise<void>
}

/** What waits to be written while the disk takes nothing; the rest is dropped. */
const mostWaitingBytes = 1_000_000

/**
 * The log beside the data under a name: `server.1.log`, then `server.2.log` …, of 5 MB each, the last three kept. Where it cannot be
 * written, that is told once, and the server goes on without it.
 */
export async function openServerLog(
  dataFolder: string,
  tell: (news: string) => void,
  name = 'server',
): Promise<ServerLog> {
  const stream = await openRolling({
    file: join(dataFolder, name),
    extension: '.log',
    size: '5m',
    limit: { count: 2, removeOtherLogFiles: true },
    mkdir: true,
    sync: false,
    minLength: 4096,
    maxLength: mostWaitingBytes,
    periodicFlush: 500,
  })
  let told = false
  stream.on('error', (error: Error) => {
    if (!told) tell(`The log cannot be written (${error.message}); going on without it.`)
    told = true
  })
  return {
    log: pino({ name: 'snowdrift' }, stream),
    close: () =>
      new Promise(resolve => {
        // A disk that takes nothing any more must not keep anybody from stopping.
        const enough = setTimeout(resolve, 1000)
        stream.once('close', () => {
          clearTimeout(enough)
          resolve()
        })
        stream.end()
      }),
  }
}
