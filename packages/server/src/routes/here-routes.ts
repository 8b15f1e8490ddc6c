import type { WhoIsHere } from '@snowdrift/core'
import { Hono } from 'hono'
import { accountOf } from '../http/account-of.js'
import type { WorkshopEnv } from './workshop.js'

/** Who asks, as the server sees it. */
export function createHereRoutes(): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>().get('/', context => {
    const { device = null, person, workshop } = context.var
    return context.json({
      device,
      person: person ? { id: person.id, name: person.name, workshop: person.workshop } : null,
      account: accountOf(workshop, person),
    } satisfies WhoIsHere)
  })
}
