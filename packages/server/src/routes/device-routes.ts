import { readSharingBody } from '@snowdrift/core'
import { Hono, type MiddlewareHandler } from 'hono'
import { z } from 'zod'
import { readBody } from '../http/body.js'
import { deviceCookie } from '../http/secret-cookies.js'
import { answerProblem } from '../http/problems.js'
import type { ShareListener } from '../reach/share-listener.js'
import type { WorkshopEnv } from './workshop.js'

const what = 'such device'

/** What only whoever sits at the machine itself may do. */
const atTheMachine: MiddlewareHandler<WorkshopEnv> = async (context, next) =>
  context.var.device || context.var.person
    ? answerProblem(context, {
        kind: 'foreign',
        detail: 'This is done at the machine on which Snowdrift runs.',
      })
    : next()

/** The devices that a workshop lets in, and whether others reach it at all. */
export function createDeviceRoutes(sharing: ShareListener): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>()
    .delete('/:id', async context => {
      const { workshop, device, repositories } = context.var
      const id = z.uuid().safeParse(context.req.param('id'))
      // a device may leave, but send none away
      if (!id.success || context.var.person || (device && device.id !== id.data))
        return answerProblem(context, { kind: 'missing', what })
      if (!(await repositories.devices.revoke(workshop, id.data)))
        return answerProblem(context, { kind: 'missing', what })
      if (device) deviceCookie.drop(context)
      return context.json({})
    })
    .use(atTheMachine)
    .get('/', async context => {
      const { workshop, repositories } = context.var
      return context.json({ items: await repositories.devices.list(workshop), sharing: sharing.state() })
    })
    .post('/code', async context => {
      if (!sharing.state().isOn)
        return answerProblem(context, {
          kind: 'bad-request',
          detail: 'Other devices cannot reach Snowdrift yet. Let them first.',
        })
      return context.json(await context.var.repositories.devices.openCode(context.var.workshop), 201)
    })
    .put('/sharing', async context => {
      const body = await readBody(context, readSharingBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { isOn } = body.value
      const trouble = await sharing.turn(isOn).catch((error: unknown) => error as NodeJS.ErrnoException)
      if (trouble)
        return answerProblem(context, {
          kind: 'busy',
          detail: `Other devices cannot be let in: ${trouble.message}. Choose another port with SNOWDRIFT_SHARE_PORT.`,
        })
      // The other processes follow.
      await context.var.repositories.devices.setShared(context.var.workshop, isOn)
      return context.json(sharing.state())
    })
}
