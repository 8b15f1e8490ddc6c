import { changedKinds } from '@snowdrift/core'
import { setTimeout } from 'node:timers/promises'
import pLimit from 'p-limit'
import pg from 'pg'
import { z } from 'zod'
import type { Log } from '../log.js'
import type { Changes, Noted } from './changes.js'
import { createSeen, type Seen } from './seen.js'

/** What follows the database. */
export interface Listening {
  /** Has every process look now: something was written. */
  readonly nudge: () => void
  readonly close: () => Promise<void>
}

const noted = z.object({
  id: z.string(),
  workshop: z.uuid(),
  kind: z.enum(changedKinds),
  row: z.uuid().nullable(),
  version: z.int().nullable(),
})

/** Who writes nudges; whoever wrote and died is found out so. */
const lookEveryMs = 1000
/** Nudges within so long are one. */
const gatherMs = 10
const comeAgainMs = 300
/** No transaction lasts longer: what it noted may be seen so long after what was noted later. */
const longestTransactionMs = 30_000
/** Notes are kept so long; whoever could not look for longer has missed some. */
const notesKeptMs = 3_600_000

/**
 * Hears of the database what changes, on a connection of its own that is taken up again however often it is cut. Behind a
 * pool that changes connections nobody can listen, and what it were told would be others’ from then on: it only looks.
 */
export function listenToChanges(
  url: string,
  changes: Changes,
  log: Log,
  { isPooled = false }: { readonly isPooled?: boolean } = {},
): Listening {
  const over = new AbortController()
  let seen: Seen | undefined
  let client: pg.Client | undefined
  let lookedAt = performance.now()
  let looking: Promise<void> | undefined
  let isDue = false
  // A connection does one thing at a time.
  const inTurn = pLimit(1)

  /** One look at a time; who asks meanwhile has another after it. */
  const look = () => {
    isDue = true
    looking ??= (async () => {
      while (isDue && client && seen && !over.signal.aborted) {
        isDue = false
        await readNew(client, seen)
      }
    })()
      .catch((error: unknown) => log.error({ error: String(error) }, 'changes were not read'))
      .finally(() => (looking = undefined))
  }
  const readNew = async (from: pg.Client, known: Seen) => {
    const now = performance.now()
    const read = () =>
      from.query<{ readonly id: string }>(
        `SELECT id::text, workshop_id AS workshop, kind, row_id AS row, version FROM changes
         WHERE id > $1 ORDER BY changes.id`,
        [known.below()],
      )
    const { rows } = await inTurn(read)
    for (const row of rows) if (known.add(row.id, now)) changes.tell(parse(row))
    lookedAt = now
    known.closeGapsBefore(now - longestTransactionMs)
  }
  const listen = async () => {
    while (!over.signal.aborted) {
      await open().catch(() => undefined)
      await setTimeout(comeAgainMs, undefined, { signal: over.signal }).catch(() => undefined)
    }
  }
  /** Listens until the connection ends. */
  const open = async () => {
    const mine = new pg.Client({ connectionString: url, connectionTimeoutMillis: 3000, keepAlive: true })
    const ended = new Promise<void>(resolve => mine.once('end', resolve))
    mine.on('error', () => undefined)
    mine.on('notification', look)
    const leave = () => letGo(mine)
    over.signal.addEventListener('abort', leave)
    try {
      // one that is ended while it connects never says whether it did
      await Promise.race([mine.connect(), ended])
      if (!isPooled) {
        // Nobody waits for a nudge to be on the disk.
        await mine.query('SET synchronous_commit = off')
        await mine.query('LISTEN changes')
      }
      if (seen && performance.now() - lookedAt > notesKeptMs / 2) changes.tellMissed()
      seen ??= await begin(mine)
      client = mine
      look()
      await ended
    } finally {
      client = undefined
      over.signal.removeEventListener('abort', leave)
      letGo(mine)
    }
  }
  const begin = async (from: pg.Client) => {
    const { rows } = await from.query<{ readonly last: string }>(
      `SELECT coalesce(max(id), 0)::text AS last FROM changes WHERE at < clock_timestamp() - $1 * interval '1 ms'`,
      [longestTransactionMs],
    )
    return createSeen(rows[0]?.last ?? '0')
  }
  const forget = () =>
    inTurn(async () =>
      client?.query(`DELETE FROM changes WHERE at < clock_timestamp() - $1 * interval '1 ms'`, [notesKeptMs]),
    ).catch((error: unknown) => log.error({ error: String(error) }, 'old notes stay'))
  const timers = [setInterval(look, lookEveryMs), setInterval(() => void forget(), notesKeptMs / 4)]
  const listening = listen()
  let nudging: NodeJS.Timeout | undefined
  return {
    nudge: () => {
      nudging ??= globalThis.setTimeout(() => {
        nudging = undefined
        inTurn(async () => client?.query('NOTIFY changes')).catch(() => undefined)
      }, gatherMs)
    },
    close: async () => {
      for (const timer of timers) clearInterval(timer)
      clearTimeout(nudging)
      over.abort()
      await listening
      await looking
    },
  }
}

function parse(row: unknown): Noted {
  const { id, workshop, kind, row: rowId, version } = noted.parse(row)
  return { id, workshop, change: { kind, id: rowId, version } }
}

/** Not waited for: a client that is ended twice never says that it is. */
function letGo(client: pg.Client): void {
  void client.end().catch(() => undefined)
}
