import type { Context } from 'hono'
import { routePath } from 'hono/route'

/** A request that was answered. The route, not the address: what is asked for stays out, and labels stay few. */
export interface Answered {
  readonly method: string
  readonly route: string
  readonly status: number
  readonly seconds: number
}

const methods = new Set(['GET', 'HEAD', 'POST', 'PUT', 'DELETE'])

/** What was answered, once it is, by the route that answered: a method or a route that nobody knows has one name for all. */
export function answeredOf(context: Context, milliseconds: number): Answered {
  const { method } = context.req
  return {
    method: methods.has(method) ? method : 'other',
    route: routePath(context),
    status: context.res.status,
    seconds: milliseconds / 1000,
  }
}
