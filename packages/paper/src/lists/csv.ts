import { formatLength, toMm, type Length, type Plan, type Unit } from '@snowdrift/core'
import Papa from 'papaparse'

export interface ListNames {
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
 * Pieces and notions of a plan, a line each. A cell that a table would take for a formula begins with an apostrophe. Of a
 * notion the width is its length.
 */
export function writeCsv(plan: Plan, { nameOf, clothOf, unit }: ListNames): string {
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
  return (
    Papa.unparse(
      { fields: [...columns], data: [...pieces, ...notions] },
      { escapeFormulae: true, newline: '\r\n' },
    ) + '\r\n'
  )
}

function millimetres(length: Length): string {
  return String(Math.round(toMm(length) * 10_000) / 10_000)
}
