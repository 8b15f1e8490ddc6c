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

/** The choices that the object's readings leave open; empty when everything needed was read. */
export function missingReadings({ readings }: CoveredObject, required: RequiredReadings): RequiredReadings {
  const has = (key: ReadingKey) => (readings[key]?.length ?? 0) > 0
  return required.filter(choice => !choice.some(way => way.every(has)))
}
