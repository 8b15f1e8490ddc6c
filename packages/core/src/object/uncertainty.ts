import { inches, longest, scale, tick, zero, type Length } from '../length/length.js'
import { isThicknessAssumed } from './derive.js'
import { assumedTabletUncertainty } from './kind.js'
import type { CoveredObject, Reading, ReadingKey } from './reading.js'

/**
 * Standard uncertainty of a measurement: division/√12; of several readings the larger of that and s/√n; `about`
 * gives (⅛ in)/√3; off another copy, or out of a table, counts double; a tablet’s thickness
 * that was not read, 2 mm. Undefined where nothing was read.
 * Source: docs/craft.md, Reading a tape.
 */
export function deriveUncertainty(object: CoveredObject, key: ReadingKey): Length | undefined {
  const taken = object.readings[key] ?? []
  const [first, ...others] = taken.map(reading => oneReading(reading, object.tapeDivision))
  if (first === undefined) return assumedUncertainty(object, key)
  return longest(first, ...others, spreadOfMean(taken))
}

/** A tablet’s thickness that nobody read is a guess; all else that was not read does not err. */
function assumedUncertainty(object: CoveredObject, key: ReadingKey): Length | undefined {
  return key === 'thickness' && isThicknessAssumed(object) ? assumedTabletUncertainty : undefined
}

function oneReading({ about, state }: Reading, division: Length): Length {
  const tape = about ? scale(inches(1 / 8), 1 / Math.sqrt(3)) : scale(division, 1 / Math.sqrt(12))
  return state === 'another-copy' || state === 'standard-size' ? scale(tape, 2) : tape
}

function spreadOfMean(taken: readonly Reading[]): Length {
  const count = taken.length
  if (count < 2) return zero
  const mean = taken.reduce((sum, reading) => sum + reading.length, 0) / count
  const squares = taken.reduce((sum, reading) => sum + (reading.length - mean) ** 2, 0)
  return scale(tick, Math.sqrt(squares / (count - 1) / count))
}
