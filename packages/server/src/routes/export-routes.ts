import { readExportRequest } from '@snowdrift/core'
import { Hono } from 'hono'
import { answerWritten, type ExportWriter } from '../exports/export-writer.js'
import { readBody } from '../http/body.js'
import { answerProblem } from '../http/problems.js'
import type { WorkshopEnv } from './workshop.js'

/** A cover file for paper or machines. */
export function createExportRoutes(write: ExportWriter): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>().post('/', async context => {
    const body = await readBody(context, readExportRequest)
    if (!body.ok) return answerProblem(context, body.failure)
    const { workshop, repositories } = context.var
    const settings = await repositories.settings.find(workshop)
    return answerWritten(context, body.value.as, await write({ request: body.value, settings }))
  })
}
