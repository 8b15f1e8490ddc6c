import type { MiddlewareHandler } from 'hono'
import { keptForHeader, looksOnHeader, mayRoleChange } from '@snowdrift/core'
import type { WorkshopEnv } from '../routes/workshop.js'
import { accountOf } from './account-of.js'

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

/** Says whose an answer is, so that the device keeps it for them and shows it to nobody else; and whether they look on. */
export const offerToKeep: MiddlewareHandler<WorkshopEnv> = async (context, next) => {
  const { workshop, person } = context.var
  context.header(keptForHeader, accountOf(workshop, person))
  if (person?.workshop && !mayRoleChange(person.workshop.role)) context.header(looksOnHeader, 'yes')
  await next()
}
