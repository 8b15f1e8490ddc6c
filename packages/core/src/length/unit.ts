import { inches, mm, type Length } from './length.js'

/** The unit that a workshop thinks in. */
export const units = ['in', 'cm', 'mm'] as const
export type Unit = (typeof units)[number]

/** One of the unit, as a Length. */
export function oneOf(unit: Unit): Length {
  switch (unit) {
    case 'in':
      return inches(1)
    case 'cm':
      return mm(10)
    case 'mm':
      return mm(1)
  }
}

/** The finest mark on the tape that is usual with the unit: 1/16 in or 1 mm. */
export function defaultTapeDivision(unit: Unit): Length {
  return unit === 'in' ? inches(1 / 16) : mm(1)
}

/** As finely as lengths are said: 1/64 in, or 0.1 mm. */
export function finestSaid(unit: Unit): Length {
  return unit === 'in' ? inches(1 / 64) : mm(1 / 10)
}

const metricTwins: ReadonlyMap<number, number> = new Map([
  [1 / 16, 1.5],
  [1 / 8, 3],
  [1 / 4, 6],
  [3 / 8, 10],
  [1 / 2, 12],
  [5 / 8, 16],
  [3 / 4, 19],
  [1, 25],
  [1.25, 32],
  [1.5, 38],
  [2, 50],
  [2.25, 57],
  [2.5, 64],
  [3, 76],
  [4, 100],
  [5, 127],
  [10, 250],
])

/**
 * A customary amount of the craft: so many inches, or its metric twin of its own (¼ in or 6 mm, not 6.35).
 * Amounts without a listed twin take the nearest whole millimetre. Source: docs/craft.md, Units.
 */
export function customary(inchCount: number, unit: Unit): Length {
  if (unit === 'in') return inches(inchCount)
  return mm(metricTwins.get(inchCount) ?? Math.round(inchCount * 25.4))
}
