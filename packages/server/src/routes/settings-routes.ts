import { Hono } from 'hono'
import { readSettingsBody } from '@snowdrift/core'
import type { SettingsRepository } from '../db/repositories/settings-repository.js'
import { readBody } from '../http/body.js'
import { answerProblem } from '../http/problems.js'
import { formatEtag, parseEtag } from '../http/version.js'
import type { WorkshopEnv } from './workshop.js'

export function createSettingsRoutes(settings: SettingsRepository): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>()
    .get('/', async context => {
      const row = await settings.find(context.var.workshop)
      return context.json(row, 200, { ETag: formatEtag(row.version) })
    })
    .put('/', async context => {
      const version = parseEtag(context.req.header('If-Match'))
      if (version === undefined) return answerProblem(context, { kind: 'version-needed' })
      const body = await readBody(context, readSettingsBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const written = await settings.update(context.var.workshop, version, body.value)
      if (written.kind !== 'written')
        return answerProblem(
          context,
          written.kind === 'stale' ? written : { kind: 'missing', what: 'settings' },
        )
      return context.json(written.row, 200, { ETag: formatEtag(written.row.version) })
    })
}
