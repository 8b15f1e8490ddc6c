import { mm } from '../../length/length.js'
import type { CoveredObject, Reading, ReadingKey } from '../reading.js'

/** A hardcover with readings in millimetres for tests; several readings as a list. */
export function objectWith(
  readings: Partial<Record<ReadingKey, number | readonly number[]>>,
  traits: Partial<CoveredObject> = {},
): CoveredObject {
  const taken = Object.entries(readings).map(([key, value]) => [key, [value].flat().map(reading)])
  return {
    kind: 'hardcover',
    spine: 'flat',
    foldsBack: true,
    edges: 'eased',
    tapeDivision: mm(1),
    readings: Object.fromEntries(taken) as CoveredObject['readings'],
    ...traits,
  }
}

function reading(millimetres: number): Reading {
  return { text: `${millimetres} mm`, length: mm(millimetres), about: false }
}
