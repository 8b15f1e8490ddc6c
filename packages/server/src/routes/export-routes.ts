import { readExportRequest } from '@snowdrift/core'
import { Hono } from 'hono'
import type { ExportWriter } from '../exports/export-writer.js'
import { readBody } from '../http/body.js'
import { answerProblem } from '../http/problems.js'
import type { WorkshopEnv } from './workshop.js'

/** A cover file for paper or machines. */
export function createExportRoutes(write: ExportWriter): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>().post('/', async context => {
    const body = await readBody(context, readExportRequest)
    if (!body.ok) return answerProblem(context, body.failure)
    const { workshop, repositories } = context.var
    return write(context, body.value, await repositories.settings.find(workshop))
  })
}
