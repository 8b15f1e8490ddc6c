import { Hono } from 'hono'
import { readSettingsBody } from '@snowdrift/core'
import { outcomeOf } from '../http/once.js'
import { answerProblem } from '../http/problems.js'
import { formatEtag, parseEtag } from '../http/version.js'
import { writeBody } from '../http/write.js'
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
      return writeBody(context, readSettingsBody, async ({ settings }, body) =>
        outcomeOf(await settings.update(context.var.workshop, version, body), 'settings'),
      )
    })
}
