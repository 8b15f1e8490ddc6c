import { Hono, type Context } from 'hono'
import pLimit from 'p-limit'
import { z } from 'zod'
import {
  objectKinds,
  stashTable,
  thingsTable,
  type ColumnMatch,
  type Table,
  type ThingBody,
} from '@snowdrift/core'
import { decodeText } from '../csv/decode-text.js'
import { leaveOutKnown } from '../csv/leave-out-known.js'
import type { Refused } from '../csv/read-table.js'
import { readStashCsv, writeStashCsv } from '../csv/stash-csv.js'
import { readThingsCsv, writeThingsCsv } from '../csv/things-csv.js'
import { listAll } from '../db/repositories/page.js'
import { readBytes } from '../http/bytes.js'
import { once } from '../http/once.js'
import { answerProblem, type Failure } from '../http/problems.js'
import type { WorkshopEnv } from './workshop.js'

const mostBytes = 1024 * 1024

/** What a table says that came in, and which of our columns its own stand for. */
interface TableBody<Column extends string> {
  readonly text: string
  /** How it was read, where not as UTF-8. */
  readonly readAs?: string
  readonly columns?: ColumnMatch<Column>
  /** The whole of what was said, so that the same key cannot stand for two tables. */
  readonly said: Buffer
}

/**
 * The stash as CSV, out and in. What comes in and is not there is added, all of it or nothing; nothing that is there is
 * changed. A table with other columns is answered with their headings, and sent again with `columns`, a match to ours.
 */
export function createStashCsvRoutes(): Hono<WorkshopEnv> {
  // Whole stashes go one after the other, so that connections are left for what makers wait for.
  const inTurn = pLimit(1)
  return new Hono<WorkshopEnv>()
    .get('/', async context => {
      const { workshop, aged } = context.var
      const csv = await inTurn(async () =>
        writeStashCsv(
          await listAll(page => aged.materials.list(workshop, page)),
          await listAll(page => aged.stash.list(workshop, page)),
        ),
      )
      return answerTable(context, csv, 'stash.csv')
    })
    .post('/', async context => {
      const { workshop, repositories } = context.var
      const table = await readTableBody(context, stashTable)
      if ('kind' in table) return answerProblem(context, table)
      const { text, readAs, columns, said } = table
      const read = readStashCsv(text, (await repositories.settings.find(workshop)).unit, columns)
      if (!read.ok) return answerRefused(context, read)
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

const kindQuery = z.enum(objectKinds).default('hardcover')

/** Measured things as CSV, out and in, likewise; `kind` is what those are that say nothing else. Known are those of a name and kind. */
export function createThingsCsvRoutes(): Hono<WorkshopEnv> {
  const inTurn = pLimit(1)
  return new Hono<WorkshopEnv>()
    .get('/', async context => {
      const { workshop, aged } = context.var
      const things = await inTurn(() => listAll(page => aged.things.list(workshop, page)))
      return answerTable(context, writeThingsCsv(things), 'things.csv')
    })
    .post('/', async context => {
      const { workshop, repositories } = context.var
      const table = await readTableBody(context, thingsTable)
      if ('kind' in table) return answerProblem(context, table)
      const kind = kindQuery.safeParse(context.req.query('kind'))
      if (!kind.success)
        return answerProblem(context, {
          kind: 'bad-request',
          detail: `Say in “kind” what the things are: ${objectKinds.join(', ')}.`,
        })
      const { text, readAs, columns, said } = table
      const { unit } = await repositories.settings.find(workshop)
      const read = readThingsCsv(text, unit, kind.data, columns)
      if (!read.ok) return answerRefused(context, read)
      return inTurn(() =>
        once(context, said, async ({ things }) => {
          const known = new Set((await listAll(page => things.list(workshop, page))).map(nameOf))
          const fresh = read.things.filter(thing => !known.has(nameOf(thing)))
          await things.createAll(workshop, fresh)
          const body = {
            added: fresh.length,
            known: read.things.length - fresh.length,
            ...(readAs && { readAs }),
          }
          return { kind: 'done', status: 201, body }
        }),
      )
    })
}

function nameOf({ name, object }: ThingBody): string {
  return `${object.kind} ${name.trim().toLowerCase()}`
}

async function readTableBody<Column extends string>(
  context: Context,
  table: Table<Column>,
): Promise<TableBody<Column> | Failure> {
  const bytes = await readBytes(context, mostBytes)
  if (!bytes) return { kind: 'too-large', limit: '1 MB' }
  const columns = readColumns(table, context.req.query('columns'))
  if (columns === 'unreadable')
    return {
      kind: 'bad-request',
      detail: 'Say in “columns” which of our columns each heading stands for, as a JSON object.',
    }
  const said = Buffer.concat([
    Buffer.from(JSON.stringify([columns ?? null, context.req.query('kind') ?? null])),
    bytes,
  ])
  return { ...decodeText(bytes), said, ...(columns && { columns }) }
}

function readColumns<Column extends string>(
  { columns }: Table<Column>,
  query: string | undefined,
): ColumnMatch<Column> | undefined | 'unreadable' {
  if (query === undefined) return undefined
  try {
    const read = z.record(z.string().max(200), z.enum(columns)).safeParse(JSON.parse(query))
    return read.success ? read.data : 'unreadable'
  } catch {
    return 'unreadable'
  }
}

function answerRefused(context: Context, { issues, headings = [] }: Refused): Response {
  return answerProblem(context, { kind: 'unreadable', issues, headings })
}

function answerTable(context: Context, csv: string, name: string): Response {
  return context.body(csv, 200, {
    'Content-Type': 'text/csv; charset=utf-8',
    'Content-Disposition': `attachment; filename="${name}"`,
  })
}
