import { Hono, type Context } from 'hono'
import { z } from 'zod'
import { readCutBody, readStashPieceBody, readTakeBody, type ReadResult } from '@snowdrift/core'
import type { Repositories } from '../db/repositories/repositories.js'
import type { Taken } from '../db/repositories/take-pieces.js'
import { done, once, outcomeOf, refusedAsMissing, type Outcome } from '../http/once.js'
import { readPageQuery } from '../http/page-query.js'
import { answerProblem } from '../http/problems.js'
import { parseEtag } from '../http/version.js'
import { writeBody } from '../http/write.js'
import type { WorkshopEnv } from './workshop.js'

const what = 'such piece'

/** The pieces of the stash, wherever they are of: list, change, keep for a cover, let go, cut. */
export function createStashRoutes(): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>()
    .get('/pieces', async context => {
      const { workshop, repositories } = context.var
      const query = readPageQuery(context)
      if (!query.ok) return answerProblem(context, query.failure)
      return context.json(await repositories.stash.list(workshop, query.page))
    })
    .put('/pieces/:id', async context => {
      const { workshop, repositories } = context.var
      const chosen = chosenOf(context, context.req.param('id'))
      if ('failure' in chosen) return answerProblem(context, chosen.failure)
      const piece = await repositories.stash.find(workshop, chosen.id)
      if (!piece) return answerProblem(context, { kind: 'missing', what })
      const material = await repositories.materials.find(workshop, piece.materialId)
      return writeBody(context, readStashPieceBody(material?.unit ?? 'in'), async ({ stash }, body) =>
        outcomeOf(await stash.change(workshop, chosen, body), what),
      )
    })
    .delete('/pieces/:id', async context => {
      const chosen = chosenOf(context, context.req.param('id'))
      if ('failure' in chosen) return answerProblem(context, chosen.failure)
      return once(context, null, async ({ stash }) =>
        outcomeOf(await stash.remove(context.var.workshop, chosen), what),
      )
    })
    .post('/pieces/:id/restore', async context => {
      const id = context.req.param('id')
      if (!z.uuid().safeParse(id).success) return answerProblem(context, { kind: 'missing', what })
      return once(context, null, async ({ stash }) => {
        const row = await stash.restore(context.var.workshop, id)
        return row ? done(row) : refusedAsMissing(what)
      })
    })
    .post('/reserve', context =>
      answerTake(context, readTakeBody, ({ stash }, { coverId, pieces }) =>
        stash.reserve(context.var.workshop, coverId, pieces),
      ),
    )
    .post('/release', context =>
      answerTake(context, readTakeBody, ({ stash }, { coverId, pieces }) =>
        stash.release(context.var.workshop, coverId, pieces),
      ),
    )
    .post('/cut', context =>
      answerTake(context, readCutBody, ({ stash }, { coverId, pieces }) =>
        stash.cut(context.var.workshop, coverId, pieces),
      ),
    )
}

function chosenOf(context: Context, id: string) {
  if (!z.uuid().safeParse(id).success) return { failure: { kind: 'missing', what } as const }
  const version = parseEtag(context.req.header('If-Match'))
  return version === undefined ? { failure: { kind: 'version-needed' } as const } : { id, version }
}

function answerTake<Body>(
  context: Context<WorkshopEnv>,
  read: (input: unknown) => ReadResult<Body>,
  take: (repositories: Repositories, body: Body) => Promise<Taken>,
): Promise<Response> {
  return writeBody(context, read, async (inside, body) => outcomeOfTaking(await take(inside, body)))
}

function outcomeOfTaking(taken: Taken): Outcome {
  switch (taken.kind) {
    case 'taken':
      return { kind: 'done', status: 200, body: { items: taken.pieces } }
    case 'stale':
      return { kind: 'refused', failure: taken }
    case 'missing':
      return { kind: 'refused', failure: { kind: 'missing', what } }
    case 'no-cover':
      return { kind: 'refused', failure: { kind: 'missing', what: 'such cover' } }
    case 'unfit':
      return { kind: 'refused', failure: { kind: 'unreadable', issues: taken.issues } }
  }
}
