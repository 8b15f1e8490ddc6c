import { comesInSheets, convertPrice, type Role, type Stock, type Unit } from '@snowdrift/core'

type Notion = Stock['notion']

/** What is priced by its length: cloth, and what comes off a reel. */
export function isByLength(role: Role, notion: Notion): boolean {
  if (notion === undefined) return !comesInSheets(role)
  return notion === 'cord' || notion === 'ribbon' || notion === 'elastic'
}

/** What a price is of: “yard” or “metre”, “sheet”, “piece”. */
export function pricedBy(role: Role, notion: Notion, unit: Unit): string {
  if (!isByLength(role, notion)) return notion === undefined ? 'sheet' : 'piece'
  return unit === 'in' ? 'yard' : 'metre'
}

interface PricedRow {
  readonly role: Role
  readonly notion: Notion
  readonly written: Unit
  readonly unit: Unit
}

/** A price as it is shown: of a yard or metre by the unit of now, whichever it was written by. */
export function shownPrice(price: number, { role, notion, written, unit }: PricedRow): number {
  return isByLength(role, notion) ? convertPrice(price, written, unit) : price
}

/** The same price as the row keeps it. */
export function writtenPrice(price: number, { unit, written, ...row }: PricedRow): number {
  return shownPrice(price, { ...row, written: unit, unit: written })
}

/** Prices are said to the hundredth. */
export function toCents(price: number): number {
  return Math.round(price * 100) / 100
}
