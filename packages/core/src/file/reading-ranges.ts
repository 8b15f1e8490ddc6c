import { mm } from '../length/length.js'
import type { ReadingKey } from '../object/reading.js'
import type { LengthRange } from '../length/length-input.js'

/** What a person can sensibly measure and cover; beyond it a slip of the pen is likelier than such a thing. */
export const readingRanges: Readonly<Record<ReadingKey, LengthRange>> = {
  height: between(10, 1200),
  width: between(10, 1200),
  thickness: between(0.3, 300),
  wrap: between(20, 2700),
  openWidth: between(20, 2700),
  boardThickness: between(0, 25),
  coilDiameter: between(1, 120),
  pageWidth: between(10, 1200),
  pageHeight: between(10, 1200),
  contentsThickness: between(0.3, 300),
  grooveDepth: between(0, 25),
  cornerRadius: between(0, 150),
}

function between(leastMm: number, mostMm: number): LengthRange {
  return { min: mm(leastMm), max: mm(mostMm) }
}
