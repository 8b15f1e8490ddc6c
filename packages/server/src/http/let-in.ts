import type { HonoRequest, MiddlewareHandler } from 'hono'
import type { WorkshopEnv } from '../routes/workshop.js'
import { isSecret } from '../db/repositories/secret.js'
import { readDeviceCookie } from './device-cookie.js'
import { answerProblem } from './problems.js'

/**
 * Finds out whose the request is: at the machine itself the workshop’s, elsewhere the workshop’s that let the device in.
 * Nobody else comes further.
 */
export function letIn(
  needsPairing: boolean,
  workshopOf: (request: HonoRequest) => string,
): MiddlewareHandler<WorkshopEnv> {
  return async (context, next) => {
    if (!needsPairing) {
      context.set('workshop', workshopOf(context.req))
      return next()
    }
    const token = readDeviceCookie(context)
    const found =
      token !== undefined && isSecret(token) ? await context.var.repositories.devices.find(token) : undefined
    if (!found) return answerProblem(context, { kind: 'unpaired' })
    context.set('workshop', found.workshop)
    context.set('device', found.device)
    return next()
  }
}
