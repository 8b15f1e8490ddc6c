import { isThicknessAssumed } from './derive.js'
import type { CoveredObject, ReadingKey } from './reading.js'

/** Ways to satisfy a need for readings: any one of the lists, whole. */
export type ReadingChoice = readonly (readonly ReadingKey[])[]

/** A family's needs: every choice must be satisfied. */
export type RequiredReadings = readonly ReadingChoice[]

/** Height, and a wrap, an open width, or width with thickness: what a cover that goes round a book needs. */
export const wrappedBookReadings: RequiredReadings = [
  [['height']],
  [['wrap'], ['openWidth'], ['width', 'thickness']],
]

/**
 * The choices that the object's readings leave open, without what was read of them and what is begun first: with the
 * width read, thickness alone will do. A tablet’s thickness may be assumed. Empty when everything needed was read.
 */
export function missingReadings(object: CoveredObject, required: RequiredReadings): RequiredReadings {
  const { readings } = object
  const has = (key: ReadingKey) =>
    (readings[key]?.length ?? 0) > 0 || (key === 'thickness' && isThicknessAssumed(object))
  return required
    .filter(choice => !choice.some(way => way.every(has)))
    .map(choice =>
      choice
        .map(way => ({ left: way.filter(key => !has(key)), begun: way.some(has) }))
        .toSorted((one, other) => Number(other.begun) - Number(one.begun))
        .map(({ left }) => left),
    )
}

/**
 * What a maker is asked for beside what a plan must have: a coil stands proud of the covers, and without its diameter
 * the cover comes out short. A wrap or an open width has gone round it already.
 */
export function askedReadings(object: CoveredObject, required: RequiredReadings): RequiredReadings {
  const { readings, spine } = object
  const missing = missingReadings(object, required)
  const isWrapped = required === wrappedBookReadings && spine === 'coil'
  const settled = readings.coilDiameter ?? readings.wrap ?? readings.openWidth
  if (!isWrapped || settled || !readings.width) return missing
  return [...missing, [['coilDiameter'], ['wrap']]]
}
