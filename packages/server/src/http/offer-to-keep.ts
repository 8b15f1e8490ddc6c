import type { MiddlewareHandler } from 'hono'
import { accountOf } from './account-of.js'
import { keptForHeader } from '@snowdrift/core'
import type { WorkshopEnv } from '../routes/workshop.js'

/** What a device may keep for when the server is away: rows and their pictures, and nothing that is made from them. */
export const keptPaths = [
  'things',
  'covers',
  'materials',
  'cuttings',
  'rules',
  'makings',
  'makes',
  'marks',
  'shelf',
  'progress',
  'stash',
  'settings',
].map(name => `/${name}/*`)

/** Says whose an answer is, so that the device keeps it for them and shows it to nobody else. */
export const offerToKeep: MiddlewareHandler<WorkshopEnv> = async (context, next) => {
  context.header(keptForHeader, accountOf(context.var.workshop, context.var.person))
  await next()
}
