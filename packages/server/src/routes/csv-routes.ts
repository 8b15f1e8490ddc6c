import { Hono } from 'hono'
import pLimit from 'p-limit'
import { decodeText } from '../csv/decode-text.js'
import { readStashCsv, writeStashCsv } from '../csv/stash-csv.js'
import { listAll } from '../db/repositories/page.js'
import { readBytes } from '../http/bytes.js'
import { once } from '../http/once.js'
import { answerProblem } from '../http/problems.js'
import type { WorkshopEnv } from './workshop.js'

const mostBytes = 1024 * 1024

/** The stash as CSV, out and in. What comes in is added, all of it or nothing; nothing that is there is changed. */
export function createCsvRoutes(): Hono<WorkshopEnv> {
  // Whole stashes go one after the other, so that connections are left for what makers wait for.
  const inTurn = pLimit(1)
  return new Hono<WorkshopEnv>()
    .get('/', async context => {
      const { workshop, repositories } = context.var
      const csv = await inTurn(async () =>
        writeStashCsv(
          await listAll(page => repositories.materials.list(workshop, page)),
          await listAll(page => repositories.stash.list(workshop, page)),
        ),
      )
      return context.body(csv, 200, {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': 'attachment; filename="stash.csv"',
      })
    })
    .post('/', async context => {
      const { workshop, repositories } = context.var
      const bytes = await readBytes(context, mostBytes)
      if (!bytes) return answerProblem(context, { kind: 'too-large', limit: '1 MB' })
      const { text, readAs } = decodeText(bytes)
      const read = readStashCsv(text, (await repositories.settings.find(workshop)).unit)
      if (!read.ok) return answerProblem(context, { kind: 'unreadable', issues: read.issues })
      return inTurn(() =>
        once(context, bytes, async ({ materials, stash }) => {
          const rows = await materials.createAll(
            workshop,
            read.entries.map(({ material }) => material),
          )
          await stash.addAll(
            workshop,
            rows.map(({ id }, index) => ({ materialId: id, pieces: read.entries[index]?.pieces ?? [] })),
          )
          return { kind: 'done', status: 201, body: { added: rows.length, ...(readAs && { readAs }) } }
        }),
      )
    })
}
