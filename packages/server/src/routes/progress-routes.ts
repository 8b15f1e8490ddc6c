import { Hono } from 'hono'
import { z } from 'zod'
import { answerProblem } from '../http/problems.js'
import type { WorkshopEnv } from './workshop.js'

/** How far a cover has come: its making, or null while nobody has begun, which is nothing wrong. */
export function createProgressRoutes(): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>().get('/:cover', async context => {
    const { workshop, repositories } = context.var
    const cover = context.req.param('cover')
    if (!z.uuid().safeParse(cover).success) return answerProblem(context, { kind: 'missing', what: 'cover' })
    return context.json({ making: (await repositories.makings.find(workshop, cover)) ?? null })
  })
}
