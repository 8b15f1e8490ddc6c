import { setTimeout as pause } from 'node:timers/promises'
import type PgBoss from 'pg-boss'
import { driver } from '../db/listening-client.js'
import type { Log } from '../log.js'

/** Has errands done, one after the other in each process, whichever of them is free. */
export interface ErrandQueue {
  /** Says that an errand is there. */
  readonly put: (id: string) => Promise<void>
  /** Does what is there from now on, as soon as the database lets it; without it that begins with the first `put`. */
  readonly begin: () => Promise<void>
  /** What is being done is left, and begun anew by another process, or by the next one. */
  readonly close: () => Promise<void>
}

interface ErrandQueueOptions {
  readonly url: string
  /** Does one; throws where it is to be tried again. */
  readonly perform: (id: string, signal: AbortSignal) => Promise<void>
  readonly log: Log
}

interface Opened {
  readonly boss: PgBoss
  readonly worker: string
  readonly end: () => Promise<void>
}

const queue = 'errands'
/** Others are seen as soon as this; one’s own at once. */
const lookEverySeconds = 2
/** The longest that one takes; what takes longer was begun by a process that is gone. */
const longestMinutes = 10
/** Later than whoever did it and is not heard of any more is taken for gone. */
const retrySeconds = 35
const stopWithinMs = 5000
const tryAgainMs = 2000
const limits = { connectionTimeoutMillis: 3000, query_timeout: 10_000 }

export function createErrandQueue({ url, perform, log }: ErrandQueueOptions): ErrandQueue {
  const closing = new AbortController()
  let opening: Promise<Opened> | undefined
  const open = () =>
    (opening ??= openQueue({ url, log, perform: id => perform(id, closing.signal) }).catch(
      (error: unknown) => {
        opening = undefined
        throw error
      },
    ))
  return {
    begin: async () => {
      while (!closing.signal.aborted) {
        try {
          await open()
          return
        } catch (error) {
          log.error({ error: String(error) }, 'errands are not looked for yet')
        }
        await pause(tryAgainMs, undefined, { signal: closing.signal }).catch(() => undefined)
      }
    },
    put: async id => {
      const { boss, worker } = await open()
      await boss.send(queue, { id })
      boss.notifyWorker(worker)
    },
    close: async () => {
      closing.abort()
      await (await opening?.catch(() => undefined))?.end()
    },
  }
}

async function openQueue({
  url,
  perform,
  log,
}: Omit<ErrandQueueOptions, 'perform'> & {
  readonly perform: (id: string) => Promise<void>
}): Promise<Opened> {
  // Read only by whoever has errands done: no other command needs it.
  const { default: Boss } = await import('pg-boss')
  const pool = new driver.Pool({ connectionString: url, max: 2, ...limits })
  const trouble = (error: unknown) => log.error({ error: String(error) }, 'errands are not looked for')
  pool.on('error', trouble)
  const boss = new Boss({ db: { executeSql: (text, values) => pool.query(text, values) }, schedule: false })
  boss.on('error', trouble)
  try {
    await boss.start()
    await boss.createQueue(queue, {
      name: queue,
      retryLimit: 3,
      retryDelay: retrySeconds,
      expireInMinutes: longestMinutes,
    })
    const worker = await boss.work<{ id: string }>(
      queue,
      { pollingIntervalSeconds: lookEverySeconds },
      async jobs => {
        for (const { data } of jobs) await perform(data.id)
      },
    )
    const end = async () => {
      await boss.stop({ graceful: true, wait: true, timeout: stopWithinMs })
      await pool.end()
    }
    return { boss, worker, end }
  } catch (error) {
    await boss.stop({ graceful: false }).catch(() => undefined)
    await pool.end()
    throw error
  }
}
