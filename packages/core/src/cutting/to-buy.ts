import { ratio, type Length, inches, mm } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { Layout } from '../nest/layout.js'
import type { LayoutRequest } from '../nest/request.js'
import type { CuttingGroup } from './group.js'
import { boughtCloth } from './request-of.js'
import { comesInSheets } from './sheet-sizes.js'
import { lengthToBuy } from './shopping.js'

/** What of one material is to be bought: a length off the bolt in the shop's steps, or sheets of one size. */
export type ToBuy =
  | { readonly kind: 'length'; readonly needed: Length; readonly length: Length }
  | { readonly kind: 'sheets'; readonly count: number; readonly width: Length; readonly length: Length }

/** Undefined where the layout of that request takes nothing that is not there. */
export function findToBuy(
  group: CuttingGroup,
  { cloths }: LayoutRequest,
  { used }: Layout,
  unit: Unit,
): ToBuy | undefined {
  const bought = used.filter(({ cloth }) => cloth === boughtCloth)
  const [first] = bought
  if (!first) return undefined
  const { width, length } = cloths.find(({ id }) => id === boughtCloth) ?? first
  if (length !== undefined && comesInSheets(group.role))
    return { kind: 'sheets', count: bought.length, width, length }
  return { kind: 'length', needed: first.length, length: lengthToBuy(first.length, group, unit) }
}

/** Cloth is priced by the yard where one measures in inches, else by the metre. */
export function pricedLength(unit: Unit): Length {
  return unit === 'in' ? inches(36) : mm(1000)
}

/** A price by the length of one unit, as one by that of another. */
export function convertPrice(price: number, from: Unit, to: Unit): number {
  return price * ratio(pricedLength(to), pricedLength(from))
}

/** What it costs by the price that the stash knows: by the yard or metre of `unit`, or for one sheet. */
export function costOf(toBuy: ToBuy, price: number, unit: Unit): number {
  return toBuy.kind === 'sheets' ? toBuy.count * price : price * ratio(toBuy.length, pricedLength(unit))
}
