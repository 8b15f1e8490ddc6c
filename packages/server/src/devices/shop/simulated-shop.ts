import type { ShopOffer } from '@snowdrift/core'
import type { FabricShop } from './shop.js'
import { catalogue } from './catalogue.js'

export interface SimulatedShopOptions {
  readonly now: () => Date
  readonly wait: (milliseconds: number) => Promise<void>
  /** A number from 0 to 1 that says how the shop is today. */
  readonly chance: () => number
}

const slowMs = 2000

/** A made-up shop at the foot of the pass: every fourth time slow, some things sold out, closed at night. */
export function createSimulatedShop({ now, wait, chance }: SimulatedShopOptions): FabricShop {
  return {
    name: 'Scree & Selvedge',
    offers: async role => {
      if (chance() < 0.25) await wait(slowMs)
      const hour = now().getHours()
      if (hour >= 22 || hour < 6) return { kind: 'closed', opensAt: '6:00' }
      const soldOut = chance() < 0.3
      const offers: readonly ShopOffer[] = catalogue.filter(offer => offer.role === role)
      return {
        kind: 'offers',
        offers: offers.map((offer, index) => (soldOut && index === 0 ? { ...offer, stockMm: 0 } : offer)),
      }
    },
  }
}
