import type { Context, HonoRequest, MiddlewareHandler } from 'hono'
import type { WorkshopEnv } from '../routes/workshop.js'
import type { Door } from './guard.js'
import { answerProblem } from './problems.js'
import { deviceCookie, sessionCookie } from './secret-cookies.js'

/**
 * At the machine itself a request is the workshop’s, elsewhere that workshop’s which let the device in, or of whoever
 * signed in. Nobody else comes further.
 */
export function letIn(
  { lets }: Door,
  workshopOf: (request: HonoRequest) => string,
): MiddlewareHandler<WorkshopEnv> {
  return async (context, next) => {
    if (lets !== 'anybody')
      return (await (lets === 'devices' ? letDeviceIn(context) : letPersonIn(context))) ?? next()
    context.set('workshop', workshopOf(context.req))
    context.set('isStillIn', () => Promise.resolve(true))
    return next()
  }
}

/** Undefined where they may come further; else what is answered. */
async function letDeviceIn(context: Context<WorkshopEnv>): Promise<Response | undefined> {
  const { devices } = context.var.repositories
  const token = deviceCookie.read(context)
  const found = token === undefined ? undefined : await devices.find(token)
  if (!found || token === undefined) return answerProblem(context, { kind: 'unpaired' })
  context.set('workshop', found.workshop)
  context.set('device', found.device)
  context.set('isStillIn', async () => (await devices.find(token)) !== undefined)
  return undefined
}

async function letPersonIn(context: Context<WorkshopEnv>): Promise<Response | undefined> {
  const { sessions, audit } = context.var.repositories.people
  const token = sessionCookie.read(context)
  const found = token === undefined ? undefined : await sessions.find(token)
  if (found?.kind === 'in') {
    const { person, turnTo } = found
    if (turnTo !== undefined) sessionCookie.set(context, turnTo)
    context.set('person', person)
    const { workshop } = person
    if (workshop) context.set('workshop', workshop.id)
    context.set('isStillIn', async () => workshop !== null && sessions.isIn(person.session, workshop.id))
    return undefined
  }
  if (found?.kind === 'replayed') await audit.noteOf(found.person, 'session-replayed')
  if (token !== undefined) sessionCookie.drop(context)
  return answerProblem(context, { kind: 'signed-out' })
}
