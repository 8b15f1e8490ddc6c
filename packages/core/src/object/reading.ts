import { longest, shortest, type Length } from '../length/length.js'
import type { Stiffness } from '../material/material.js'
import type { EdgeShape, ObjectKind, SpineShape } from './kind.js'

export const readingKeys = [
  'height',
  'width',
  'thickness',
  'wrap',
  'openWidth',
  'boardThickness',
  'coilDiameter',
  'pageWidth',
  'pageHeight',
  'contentsThickness',
  'grooveDepth',
  'cornerRadius',
] as const
export type ReadingKey = (typeof readingKeys)[number]

/** The state the thing was in when the tape was on it. */
export const readingStates = [
  'closed',
  'open-flat',
  'lying-flat',
  'off-a-wrapped-piece',
  'filled',
  'emptied',
  'another-copy',
  /** Taken from a table of standard sizes. */
  'standard-size',
] as const
export type ReadingState = (typeof readingStates)[number]

/** One look at the tape. The text is kept as typed and never altered. */
export interface Reading {
  readonly text: string
  readonly length: Length
  readonly about: boolean
  readonly state?: ReadingState
}

/** The thing that is covered, as it was measured. */
export interface CoveredObject {
  readonly kind: ObjectKind
  readonly spine: SpineShape
  readonly foldsBack: boolean
  /** Of a device. */
  readonly edges: EdgeShape
  /** Of each cover board, where somebody said it. */
  readonly frontStiffness?: Stiffness
  readonly backStiffness?: Stiffness
  /** The finest mark of the tape that took the readings. */
  readonly tapeDivision: Length
  /** One or more readings a measurement; a measurement that was not taken is absent. */
  readonly readings: Readings
}

export type Readings = { readonly [Key in ReadingKey]?: readonly Reading[] }

/** The reading that counts for what goes round or over; undefined where none was taken. */
export function largestReading({ readings }: CoveredObject, key: ReadingKey): Length | undefined {
  const [first, ...others] = (readings[key] ?? []).map(reading => reading.length)
  return first === undefined ? undefined : longest(first, ...others)
}

/** The reading that counts for what must stay inside; undefined where none was taken. */
export function smallestReading({ readings }: CoveredObject, key: ReadingKey): Length | undefined {
  const [first, ...others] = (readings[key] ?? []).map(reading => reading.length)
  return first === undefined ? undefined : shortest(first, ...others)
}
