import { roles } from '@snowdrift/core'
import { Hono } from 'hono'
import type { FabricShop } from '../devices/shop/shop.js'
import { answerProblem } from '../http/problems.js'
import type { WorkshopEnv } from './workshop.js'

/** What the shop has of a role, as far as it answers. */
export function createShopRoutes(shop: FabricShop): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>().get('/offers', async context => {
    const { role } = context.req.query()
    if (!roles.some(known => known === role))
      return answerProblem(context, { kind: 'bad-request', detail: `Say a role: ${roles.join(', ')}.` })
    const answer = await shop.offers(role ?? '')
    if (answer.kind === 'closed')
      return answerProblem(context, {
        kind: 'shop-closed',
        detail: `${shop.name} is closed; it opens at ${answer.opensAt}. Lengths are known all the same, prices are not.`,
      })
    return context.json({ shop: shop.name, items: answer.offers })
  })
}
