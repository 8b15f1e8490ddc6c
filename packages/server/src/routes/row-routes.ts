import { Hono, type Context } from 'hono'
import { z } from 'zod'
import type { ReadResult } from '@snowdrift/core'
import type { RowRepository, Written } from '../db/repositories/row-repository.js'
import { readBody } from '../http/body.js'
import { answerProblem } from '../http/problems.js'
import { formatEtag, parseEtag } from '../http/version.js'
import type { WorkshopEnv } from './workshop.js'

export interface RowRoutes<Row, Body> {
  /** What one row is called, for a person: “cover”. */
  readonly what: string
  readonly rows: RowRepository<Row, Body>
  readonly read: (input: unknown) => ReadResult<Body>
}

const pageQuery = z.strictObject({
  after: z
    .string()
    .regex(/^\d{1,18}$/)
    .optional(),
  limit: z.coerce.number().int().min(1).max(100).default(30),
})

/** List, read, create, change, delete and bring back rows of one kind. Every change names the version it is based on. */
export function createRowRoutes<Row extends { readonly id: string; readonly version: number }, Body>({
  what,
  rows,
  read,
}: RowRoutes<Row, Body>): Hono<WorkshopEnv> {
  const missing = (context: Context) => answerProblem(context, { kind: 'missing', what })
  const answerRow = (context: Context, row: Row, status: 200 | 201 = 200) =>
    context.json(row, status, { ETag: formatEtag(row.version) })
  const answerWritten = (context: Context, written: Written<Row>) => {
    if (written.kind === 'missing') return missing(context)
    if (written.kind === 'stale') return answerProblem(context, written)
    return answerRow(context, written.row)
  }

  return new Hono<WorkshopEnv>()
    .get('/', async context => {
      const query = pageQuery.safeParse(context.req.query())
      if (!query.success)
        return answerProblem(context, {
          kind: 'bad-request',
          detail: 'A page takes limit (1 to 100) and after, as the page before gave it.',
        })
      const { after, limit } = query.data
      return context.json(
        await rows.list(context.var.workshop, { limit, ...(after !== undefined && { after }) }),
      )
    })
    .post('/', async context => {
      const body = await readBody(context, read)
      if (!body.ok) return answerProblem(context, body.failure)
      return answerRow(context, await rows.create(context.var.workshop, body.value), 201)
    })
    .use('/:id{.+}', async (context, next) => {
      const id: string | undefined = context.req.path.split('/')[3]
      return z.uuid().safeParse(id).success
        ? next()
        : answerProblem(context as Context, { kind: 'missing', what })
    })
    .get('/:id', async context => {
      const row = await rows.find(context.var.workshop, context.req.param('id'))
      return row ? answerRow(context, row) : missing(context)
    })
    .put('/:id', async context => {
      const version = parseEtag(context.req.header('If-Match'))
      if (version === undefined) return answerProblem(context, { kind: 'version-needed' })
      const body = await readBody(context, read)
      if (!body.ok) return answerProblem(context, body.failure)
      return answerWritten(
        context,
        await rows.update(context.var.workshop, context.req.param('id'), version, body.value),
      )
    })
    .delete('/:id', async context => {
      const version = parseEtag(context.req.header('If-Match'))
      if (version === undefined) return answerProblem(context, { kind: 'version-needed' })
      return answerWritten(context, await rows.remove(context.var.workshop, context.req.param('id'), version))
    })
    .post('/:id/restore', async context => {
      const row = await rows.restore(context.var.workshop, context.req.param('id'))
      return row ? answerRow(context, row) : missing(context)
    })
}
