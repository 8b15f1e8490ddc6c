import { Hono } from 'hono'
import pLimit from 'p-limit'
import { z } from 'zod'
import { stashColumns, type ColumnMatch } from '@snowdrift/core'
import { decodeText } from '../csv/decode-text.js'
import { leaveOutKnown } from '../csv/leave-out-known.js'
import { readStashCsv, writeStashCsv } from '../csv/stash-csv.js'
import { listAll } from '../db/repositories/page.js'
import { readBytes } from '../http/bytes.js'
import { once } from '../http/once.js'
import { answerProblem } from '../http/problems.js'
import type { WorkshopEnv } from './workshop.js'

const mostBytes = 1024 * 1024

/**
 * The stash as CSV, out and in. What comes in and is not there is added, all of it or nothing; nothing that is there is
 * changed. A table with other columns is answered with their headings, and sent again with `columns`, a match to ours.
 */
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
      const columns = readColumns(context.req.query('columns'))
      if (columns === 'unreadable')
        return answerProblem(context, {
          kind: 'bad-request',
          detail: 'Say in “columns” which of our columns each heading stands for, as a JSON object.',
        })
      const read = readStashCsv(text, (await repositories.settings.find(workshop)).unit, columns)
      if (!read.ok) {
        const { issues, headings = [] } = read
        return answerProblem(context, { kind: 'unreadable', issues, headings })
      }
      const said = Buffer.concat([Buffer.from(JSON.stringify(columns ?? null)), bytes])
      return inTurn(() =>
        once(context, said, async ({ materials, stash }) => {
          const fresh = leaveOutKnown(
            read.entries,
            await listAll(page => materials.list(workshop, page)),
            await listAll(page => stash.list(workshop, page)),
          )
          const rows = await materials.createAll(
            workshop,
            fresh.materials.map(({ material }) => material),
          )
          await stash.addAll(workshop, [
            ...rows.map(({ id }, index) => ({
              materialId: id,
              pieces: fresh.materials[index]?.pieces ?? [],
            })),
            ...fresh.pieces,
          ])
          const pieces = fresh.pieces.reduce((sum, more) => sum + more.pieces.length, 0)
          const body = { added: rows.length, known: fresh.known, pieces, ...(readAs && { readAs }) }
          return { kind: 'done', status: 201, body }
        }),
      )
    })
}

const columnMatch = z.record(z.string().max(200), z.enum(stashColumns))

function readColumns(query: string | undefined): ColumnMatch | undefined | 'unreadable' {
  if (query === undefined) return undefined
  try {
    const read = columnMatch.safeParse(JSON.parse(query))
    return read.success ? read.data : 'unreadable'
  } catch {
    return 'unreadable'
  }
}
