import { formatLength, oneOf, scale, type Length, type Unit } from '@snowdrift/core'

const shownMarks = 16
const digitWidth = 7.5

/** In the units of the picture of a tape. */
export const tapeSize = { width: 256, height: 44, digits: 13 } as const

export interface TapeStretch {
  readonly marks: readonly { readonly x: number; readonly high: number }[]
  /** Each at the right of its mark. One that the end of the stretch would cut off is left out: a 13 must not be read as a 1. */
  readonly numbers: readonly { readonly x: number; readonly words: string }[]
}

/** A short stretch of tape with the reading in its middle. A tape begins at nought. */
export function stretchOf(reading: Length, unit: Unit, division: Length): TapeStretch {
  const { width } = tapeSize
  const middle = Math.round(reading / division)
  const marks = Array.from({ length: 2 * shownMarks + 1 }, (_, index) => middle - shownMarks + index)
    .filter(mark => mark >= 0)
    .map(mark => ({
      at: scale(division, mark),
      x: width / 2 + ((mark - reading / division) * width) / (2 * shownMarks),
    }))
  return {
    marks: marks.map(({ at, x }) => ({ x, high: markHeight(at, unit) })),
    numbers: marks
      .filter(({ at }) => at % wholeOf(unit) === 0)
      .map(({ at, x }) => ({ x: x + 3, words: formatLength(at, unit, { bare: true }) }))
      .filter(({ x, words }) => x >= 0 && x + digitWidth * words.length <= width),
  }
}

/** Where a tape has its numbers: at inches, at centimetres. */
const wholeOf = (unit: Unit) => oneOf(unit === 'mm' ? 'cm' : unit)

/** Whole units tall, halves less, and so on down, as on a real tape. */
function markHeight(at: Length, unit: Unit): number {
  const steps = unit === 'in' ? [1, 2, 4, 8] : [1, 2]
  const level = steps.findIndex(part => at % scale(wholeOf(unit), 1 / part) === 0)
  return level < 0 ? 9 : 26 - level * 4.5
}
