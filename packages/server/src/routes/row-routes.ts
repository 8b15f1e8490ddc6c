import { Hono, type Context } from 'hono'
import { z } from 'zod'
import type { ReadResult } from '@snowdrift/core'
import type { Repositories } from '../db/repositories/repositories.js'
import type { RowRepository } from '../db/repositories/row-repository.js'
import { done, once, outcomeOf, refusedAsMissing } from '../http/once.js'
import { readIdsQuery, readPageQuery } from '../http/page-query.js'
import { answerProblem } from '../http/problems.js'
import { basedOn, formatEtag, parseEtag } from '../http/version.js'
import { writeBody } from '../http/write.js'
import type { WorkshopEnv } from './workshop.js'

export interface RowRoutes<Row, Body> {
  /** What one row is called, for a person: “cover”. */
  readonly what: string
  readonly rows: (repositories: Repositories) => RowRepository<Row, Body>
  readonly read: (input: unknown) => ReadResult<Body>
}

/**
 * List, read, create, change, delete and bring back rows of one kind. Every change names the version it is based on, or
 * with If-None-Match: * that there is none yet, under a name that the writer gives it.
 */
export function createRowRoutes<Row extends { readonly id: string; readonly version: number }, Body>({
  what,
  rows,
  read,
}: RowRoutes<Row, Body>): Hono<WorkshopEnv> {
  const missing = (context: Context) => answerProblem(context, { kind: 'missing', what })

  return new Hono<WorkshopEnv>()
    .get('/', async context => {
      const { workshop, repositories } = context.var
      const json = { 'Content-Type': 'application/json' }
      const some = readIdsQuery(context)
      if (some?.ok) return context.body(await rows(repositories).someAsJson(workshop, some.ids), 200, json)
      const query = some ?? readPageQuery(context)
      if (!query.ok) return answerProblem(context, query.failure)
      return context.body(await rows(repositories).listAsJson(workshop, query.page), 200, json)
    })
    .post('/', context =>
      writeBody(context, read, async (inside, body) =>
        done(await rows(inside).create(context.var.workshop, body), 201),
      ),
    )
    .use('/:id{.+}', async (context, next) => {
      const id: string | undefined = context.req.path.split('/')[3]
      return z.uuid().safeParse(id).success ? next() : missing(context as Context)
    })
    .get('/:id', async context => {
      const { workshop, repositories } = context.var
      const row = await rows(repositories).find(workshop, context.req.param('id'))
      return row ? context.json(row, 200, { ETag: formatEtag(row.version) }) : missing(context)
    })
    .put('/:id', async context => {
      const base = basedOn(context)
      if (base === undefined) return answerProblem(context, { kind: 'version-needed' })
      const id = context.req.param('id')
      return writeBody(context, read, async (inside, body) =>
        outcomeOf(await rows(inside).update(context.var.workshop, id, base, body), what),
      )
    })
    .delete('/:id', async context => {
      const version = parseEtag(context.req.header('If-Match'))
      if (version === undefined) return answerProblem(context, { kind: 'version-needed' })
      const id = context.req.param('id')
      return once(context, null, async inside =>
        outcomeOf(await rows(inside).remove(context.var.workshop, id, version), what),
      )
    })
    .post('/:id/restore', async context => {
      const id = context.req.param('id')
      return once(context, null, async inside => {
        const row = await rows(inside).restore(context.var.workshop, id)
        return row ? done(row) : refusedAsMissing(what)
      })
    })
}
