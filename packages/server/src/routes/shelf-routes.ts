import { Hono } from 'hono'
import type { WorkshopEnv } from './workshop.js'

/** Every cover of the workshop in a line, with how far it has come: what the shelf finds and sorts by. */
export function createShelfRoutes(): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>().get('/', async context => {
    const { workshop, repositories } = context.var
    return context.json({ covers: await repositories.shelf.list(workshop) })
  })
}
