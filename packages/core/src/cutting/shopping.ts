import { inches, mm, roundUpTo, toMm, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { LayoutRequest } from '../nest/request.js'
import type { Layout } from '../nest/layout.js'
import { afterWash, beforeWash, type Washing } from './shrink.js'
import type { CuttingGroup } from './group.js'
import type { ShopOffer } from './offer.js'

/** Shops cut by eighths of a yard, or by ten centimetres. */
export function shopStep(unit: Unit): Length {
  return unit === 'in' ? inches(4.5) : mm(100)
}

/** What to ask for so that so much is there after washing: the next of the shop’s steps. */
export function lengthToBuy(needed: Length, washing: Washing, unit: Unit): Length {
  return roundUpTo(beforeWash(needed, washing), shopStep(unit))
}

interface Way {
  readonly offer: ShopOffer
  readonly cost: number
  readonly inStock: boolean
  /** Whether it is as thick as what was planned with; another cloth would be another cover. */
  readonly alike: boolean
}

/** One way to buy what a group needs. */
export type Purchase =
  | (Way & { readonly kind: 'length'; readonly length: Length })
  | (Way & { readonly kind: 'cuts'; readonly name: string; readonly count: number })

/** A layout of what is left to buy for, on the cloth of an offer. */
export type LayOut = (request: LayoutRequest) => Layout

/** More cuts of one size than that are dearer than a length. */
const mostCuts = 8

/**
 * Every way to buy what a group needs from an offer: a length off the bolt, laid out on that bolt’s width, and as many of
 * each standard cut as it takes. `request` is what there is no cloth for; its cloths are replaced. What is
 * like the planned material and in stock comes first, the cheapest before all.
 */
export function weighPurchases(
  group: CuttingGroup,
  request: LayoutRequest,
  offers: readonly ShopOffer[],
  unit: Unit,
  layOut: LayOut,
): readonly Purchase[] {
  const ways = offers.flatMap(offer => [
    ...offTheBolt(group, request, offer, unit, layOut),
    ...offer.cuts.flatMap(cut => inCuts(group, request, offer, cut, layOut)),
  ])
  return ways.toSorted(
    (one, other) =>
      Number(other.alike) - Number(one.alike) ||
      Number(other.inStock) - Number(one.inStock) ||
      one.cost - other.cost,
  )
}

/** As much thicker or thinner as two makes of one kind of cloth are. */
const kindFactor = 1.6

function isAlike({ thickness }: CuttingGroup, { thicknessMm }: ShopOffer): boolean {
  const planned = toMm(thickness)
  return planned === 0 || (thicknessMm <= planned * kindFactor && thicknessMm >= planned / kindFactor)
}

/** The wash takes of it what its own cloth loses. */
function washingOf({ washed }: CuttingGroup, { shrinkage }: ShopOffer): Washing {
  return { washed, shrinkage }
}

function offTheBolt(
  group: CuttingGroup,
  request: LayoutRequest,
  offer: ShopOffer,
  unit: Unit,
  layOut: LayOut,
): readonly Purchase[] {
  const { pricePerMetre, widthMm, stockMm } = offer
  if (pricePerMetre === undefined) return []
  const { used, unplaced } = layOut(
    onCloth(request, { id: offer.id, width: afterWash(mm(widthMm), washingOf(group, offer)), count: 1 }),
  )
  const [strip] = used
  if (!strip || unplaced.length > 0) return []
  const length = lengthToBuy(strip.length, washingOf(group, offer), unit)
  const cost = (pricePerMetre * toMm(length)) / 1000
  const inStock = stockMm >= toMm(length)
  return [{ kind: 'length', offer, length, cost, inStock, alike: isAlike(group, offer) }]
}

function inCuts(
  group: CuttingGroup,
  request: LayoutRequest,
  offer: ShopOffer,
  cut: ShopOffer['cuts'][number],
  layOut: LayOut,
): readonly Purchase[] {
  const washing = washingOf(group, offer)
  const width = afterWash(mm(cut.widthMm), washing)
  const length = afterWash(mm(cut.lengthMm), washing)
  const { used, unplaced } = layOut(onCloth(request, { id: cut.name, width, length, count: mostCuts }))
  if (unplaced.length > 0 || used.length === 0) return []
  const count = used.length
  const inStock = offer.stockMm >= count * cut.lengthMm
  const cost = count * cut.price
  return [{ kind: 'cuts', offer, name: cut.name, count, cost, inStock, alike: isAlike(group, offer) }]
}

function onCloth(request: LayoutRequest, cloth: LayoutRequest['cloths'][number]): LayoutRequest {
  return {
    ...request,
    cloths: [cloth],
    pieces: request.pieces.map(({ pin: _pin, ...piece }) => piece),
  }
}
