import { Hono } from 'hono'
import { readSettingsBody } from '@snowdrift/core'
import { readBody } from '../http/body.js'
import { once, outcomeOf } from '../http/once.js'
import { answerProblem } from '../http/problems.js'
import { formatEtag, parseEtag } from '../http/version.js'
import type { WorkshopEnv } from './workshop.js'

export function createSettingsRoutes(): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>()
    .get('/', async context => {
      const { workshop, repositories } = context.var
      const row = await repositories.settings.find(workshop)
      return context.json(row, 200, { ETag: formatEtag(row.version) })
    })
    .put('/', async context => {
      const version = parseEtag(context.req.header('If-Match'))
      if (version === undefined) return answerProblem(context, { kind: 'version-needed' })
      const body = await readBody(context, readSettingsBody)
      if (!body.ok) return answerProblem(context, body.failure)
      return once(context, body.value, async ({ settings }) =>
        outcomeOf(await settings.update(context.var.workshop, version, body.value), 'settings'),
      )
    })
}
