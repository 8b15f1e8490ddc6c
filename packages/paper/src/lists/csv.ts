import {
  formatLength,
  roleWords,
  toMm,
  usualClothWidth,
  type Bought,
  type Length,
  type Plan,
  type Unit,
} from '@snowdrift/core'
import Papa from 'papaparse'

export interface ListNames {
  /** What is to be bought where nothing is at hand. */
  readonly bought: readonly Bought[]
  readonly nameOf: (id: string) => string
  /** What a piece is cut from. */
  readonly clothOf: (id: string) => string
  readonly unit: Unit
}

const columns = [
  'list',
  'id',
  'name',
  'count',
  'width',
  'height',
  'width mm',
  'height mm',
  'trim to mm',
  'cloth',
  'measure first',
] as const

/**
 * Pieces and notions of a plan and what to buy, a line each. A cell that a table would take for a formula begins with an apostrophe. Of a
 * notion the width is its length; of what is bought the height is how much of it.
 */
export function writeCsv(plan: Plan, { bought, nameOf, clothOf, unit }: ListNames): string {
  const say = (length: Length | undefined) => (length === undefined ? '' : formatLength(length, unit))
  const inMm = (length: Length | undefined) => (length === undefined ? '' : millimetres(length))
  const pieces = plan.pieces.map(({ id, count, width, height, trimTo, measureFirst }) => [
    'piece',
    id,
    nameOf(id),
    count,
    say(width.cut),
    say(height.cut),
    inMm(width.cut),
    inMm(height.cut),
    trimTo ? `${millimetres(trimTo.width)} x ${millimetres(trimTo.height)}` : '',
    clothOf(id),
    measureFirst ? 'yes' : '',
  ])
  const notions = plan.notions.map(({ id, count, length, width, measureFirst }) => [
    'notion',
    id,
    nameOf(id),
    count,
    say(length?.cut),
    say(width),
    inMm(length?.cut),
    inMm(width),
    '',
    '',
    measureFirst ? 'yes' : '',
  ])
  const toBuy = bought.flatMap(({ role, material, toBuy: amount }) => {
    if (!amount) return []
    const [count, width] =
      amount.kind === 'sheets' ? [amount.count, amount.width] : [1, usualClothWidth(unit)]
    const sizes = [say(width), say(amount.length), inMm(width), inMm(amount.length)]
    return [['to buy', role, material || roleWords[role], count, ...sizes, '', '', '']]
  })
  return (
    Papa.unparse(
      { fields: [...columns], data: [...pieces, ...notions, ...toBuy] },
      { escapeFormulae: true, newline: '\r\n' },
    ) + '\r\n'
  )
}

function millimetres(length: Length): string {
  return String(Math.round(toMm(length) * 10_000) / 10_000)
}
