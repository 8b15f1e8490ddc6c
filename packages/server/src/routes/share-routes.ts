import { readShareBody } from '@snowdrift/core'
import { Hono, type Context } from 'hono'
import { z } from 'zod'
import { once, refusedAsMissing } from '../http/once.js'
import { answerProblem } from '../http/problems.js'
import { writeBody } from '../http/write.js'
import type { WorkshopEnv } from './workshop.js'

const what = 'such link'

/** The links that a workshop gives out: made, listed, taken back. */
export function createShareRoutes(): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>()
    .get('/', async context => {
      const { workshop, repositories } = context.var
      const cover = z.uuid().safeParse(context.req.query('cover'))
      if (!cover.success)
        return answerProblem(context, {
          kind: 'bad-request',
          detail: 'Say in “cover” whose links by its id.',
        })
      return context.json({ items: await repositories.shares.list(workshop, cover.data) })
    })
    .post('/', context =>
      writeBody(context, readShareBody, async ({ shares, covers }, body) => {
        const { workshop } = context.var
        if (!(await covers.find(workshop, body.coverId))) return refusedAsMissing('cover')
        return { kind: 'done', status: 201, body: await shares.create(workshop, body) }
      }),
    )
    .use('/:id{.+}', async (context, next) => {
      const id: string | undefined = context.req.path.split('/')[3]
      return z.uuid().safeParse(id).success
        ? next()
        : answerProblem(context as Context, { kind: 'missing', what })
    })
    .delete('/:id', context => {
      const id = context.req.param('id')
      return once(context, null, async ({ shares }) =>
        (await shares.revoke(context.var.workshop, id))
          ? { kind: 'done', status: 200, body: {} }
          : refusedAsMissing(what),
      )
    })
    .delete('/:id/answer', context => {
      const id = context.req.param('id')
      return once(context, null, async ({ shares }) =>
        (await shares.clearAnswer(context.var.workshop, id))
          ? { kind: 'done', status: 200, body: {} }
          : refusedAsMissing(what),
      )
    })
}
