import { readPairBody } from '@snowdrift/core'
import { Hono } from 'hono'
import { readBody } from '../http/body.js'
import { deviceCookie } from '../http/secret-cookies.js'
import { answerProblem } from '../http/problems.js'
import type { PairingTries } from '../http/tries.js'
import type { WorkshopEnv } from './workshop.js'

/** How a device is let in: with a code that the first machine shows, once. */
export function createPairRoutes(tries: PairingTries): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>().post('/', async context => {
    const { caller, repositories } = context.var
    const body = await readBody(context, readPairBody)
    if (!body.ok) return answerProblem(context, body.failure)
    const counted = { address: caller.network, all: 'all' }
    const wait = await tries.take(counted)
    if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
    const paired = await repositories.devices.pair(body.value)
    if (!paired) return answerProblem(context, { kind: 'wrong-code' })
    await tries.giveBack(counted)
    deviceCookie.set(context, paired.token)
    return context.json({ device: paired.device }, 201)
  })
}
