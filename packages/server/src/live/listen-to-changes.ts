import { changedKinds } from '@snowdrift/core'
import { setTimeout } from 'node:timers/promises'
import pg from 'pg'
import { z } from 'zod'
import type { Log } from '../log.js'
import type { Changes } from './changes.js'

const told = z.object({
  workshop: z.uuid(),
  kind: z.enum(changedKinds),
  id: z.uuid().nullable(),
  version: z.int().nullable(),
})

const pausesMs = [100, 300, 1000, 2000] as const

/**
 * Hears of the database what changes, on a connection of its own that is taken up again however often it is cut. What could
 * not be heard meanwhile is told as missed. Gives the function that ends it.
 */
export function listenToChanges(url: string, changes: Changes, log: Log): () => Promise<void> {
  let isOver = false
  let client: pg.Client | undefined
  const over = new AbortController()
  const listen = async () => {
    for (let failed = 0, isAgain = false; !isOver; isAgain = true) {
      const ended = await open(isAgain)
      if (ended) failed = 0
      else failed++
      await setTimeout(pausesMs[Math.min(failed, pausesMs.length - 1)], undefined, {
        signal: over.signal,
        ref: false,
      }).catch(() => undefined)
    }
  }
  /** Listens until the connection ends; false where there was none. */
  const open = async (isAgain: boolean): Promise<boolean> => {
    const mine = new pg.Client({ connectionString: url, connectionTimeoutMillis: 3000, keepAlive: true })
    const ended = new Promise<void>(resolve => mine.once('end', resolve))
    mine.on('error', () => undefined)
    mine.on('notification', ({ payload }) => hear(payload))
    client = mine
    try {
      // one that is ended while it connects never says whether it did
      await Promise.race([mine.connect(), ended])
      await mine.query('LISTEN changes')
    } catch {
      letGo(mine)
      return false
    }
    if (isAgain) changes.tellMissed()
    await ended
    return true
  }
  const hear = (payload: string | undefined) => {
    const read = told.safeParse(parse(payload ?? ''))
    if (!read.success) return log.error({ payload }, 'a change was told that cannot be read')
    const { workshop, ...change } = read.data
    changes.tell(workshop, change)
  }
  const listening = listen()
  return async () => {
    isOver = true
    over.abort()
    if (client) letGo(client)
    await listening
  }
}

/** Not waited for: a client that is ended twice never says that it is. */
function letGo(client: pg.Client): void {
  void client.end().catch(() => undefined)
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
