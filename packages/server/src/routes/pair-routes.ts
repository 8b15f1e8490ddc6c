import { readPairBody } from '@snowdrift/core'
import { Hono } from 'hono'
import { readBody } from '../http/body.js'
import { setDeviceCookie } from '../http/device-cookie.js'
import { answerProblem } from '../http/problems.js'
import type { Tries } from '../http/tries.js'
import type { WorkshopEnv } from './workshop.js'

/** How a device is let in: with a code that the first machine shows, once. */
export function createPairRoutes(tries: Tries): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>().post('/', async context => {
    const { caller, repositories } = context.var
    const wait = await tries.waitSeconds(caller.address)
    if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
    const body = await readBody(context, readPairBody)
    if (!body.ok) return answerProblem(context, body.failure)
    const paired = await repositories.devices.pair(body.value)
    if (!paired) {
      await tries.count(caller.address)
      return answerProblem(context, { kind: 'wrong-code' })
    }
    setDeviceCookie(context, paired.token)
    return context.json({ device: paired.device }, 201)
  })
}
