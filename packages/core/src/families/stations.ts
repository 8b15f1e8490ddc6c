import { add, scale, subtract, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import type { StripHole, StripLine } from './strip.js'

/** Signatures that are sewn to the middle of a spine. */
export interface Stations {
  readonly unit: Unit
  readonly signatures: number
  /** All of them together, pressed lightly. */
  readonly contents: Length
  readonly middle: Length
  readonly high: Length
}

/**
 * One row of five stations a signature, rows a signature’s thickness and 1/16 in apart, ends ¾ in from head and tail.
 * Source: docs/craft.md, Board cover.
 */
export function layStations({ unit, signatures, contents, middle, high }: Stations): {
  readonly holes: readonly StripHole[]
  readonly lines: readonly StripLine[]
} {
  const apart = add(scale(contents, 1 / signatures), customary(1 / 16, unit))
  const end = customary(3 / 4, unit)
  const stations = [0, 1, 2, 3, 4].map(step => add(end, scale(subtract(high, scale(end, 2)), step / 4)))
  const rows = Array.from({ length: signatures }, (_, row) =>
    add(middle, scale(apart, row - (signatures - 1) / 2)),
  )
  return {
    holes: rows.flatMap(x => stations.map(y => ({ at: [x, y] as const, diameter: customary(1 / 16, unit) }))),
    lines: rows.map((x): StripLine => ({ kind: 'stitch', from: [x, end], to: [x, subtract(high, end)] })),
  }
}
