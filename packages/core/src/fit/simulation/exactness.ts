import type { Direction } from '../../finding/finding.js'
import type { Making } from '../making.js'

/** Where a hand can be off: at a cut, along a seam, with a fold that is set on the thing. */
export const handworks = ['cut', 'seam', 'fold'] as const
export type Handwork = (typeof handworks)[number]

/**
 * How exact one kind of handwork must be in one direction: the error of it alone, to either side, that lowers the chance
 * by one make in a hundred. Absent where up to 2 in of it does not.
 */
export interface Exactness {
  readonly direction: Direction
  readonly handwork: Handwork
  /** Cut short, a seam wide, a fold set inwards: the cover comes out smaller. */
  readonly smallerMm?: number
  readonly largerMm?: number
}

/** One ease or room in many makes, and where it goes. */
export interface Tolerated {
  readonly direction: Direction
  readonly valuesMm: Float64Array
  readonly making: Making
  /** What gives way when the body gets smaller: a flap, a free end. */
  readonly isRoom: boolean
  readonly parts: number
  readonly stretches: readonly { readonly fromMm: number; readonly toMm: number }[]
}

const lostShare = 0.01
const mostMm = 50
const finestMm = 0.1

/** For every direction and handwork that sizes it. Of no makes, empty. Source: docs/craft.md, How exact it must be. */
export function findExactness(judged: readonly Tolerated[]): readonly Exactness[] {
  const count = judged[0]?.valuesMm.length ?? 0
  if (count === 0) return []
  const planned = chanceWith(judged, () => 0)
  const directions = [...new Set(judged.map(({ direction }) => direction))]
  return directions.flatMap(direction =>
    handworks.flatMap((handwork): readonly Exactness[] => {
      const touched = judged.some(one => one.direction === direction && countOf(one.making, handwork) > 0)
      if (!touched) return []
      const least = (sign: 1 | -1) =>
        leastError(
          errorMm =>
            chanceWith(judged, one => shiftOf(one, direction, handwork, sign * errorMm)) <=
            planned - lostShare,
        )
      const [smallerMm, largerMm] = [least(-1), least(1)]
      return [
        {
          direction,
          handwork,
          ...(smallerMm !== undefined && { smallerMm }),
          ...(largerMm !== undefined && { largerMm }),
        },
      ]
    }),
  )
}

function countOf({ cutEdges, seamLines, foldLines }: Making, handwork: Handwork): number {
  switch (handwork) {
    case 'cut':
      return cutEdges
    case 'seam':
      return seamLines
    case 'fold':
      return foldLines
  }
}

/** A fold that is set inwards makes the body smaller and leaves more for the flap. */
function shiftOf(one: Tolerated, direction: Direction, handwork: Handwork, errorMm: number): number {
  if (one.direction !== direction || countOf(one.making, handwork) === 0) return 0
  const outwards = handwork === 'fold' && one.isRoom ? -1 : 1
  return (outwards * errorMm) / one.parts
}

/** The smallest error that is too much, to a tenth of a millimetre; undefined where none up to 2 in is. */
function leastError(isTooMuch: (errorMm: number) => boolean): number | undefined {
  let high = finestMm
  while (high < mostMm && !isTooMuch(high)) high *= 2
  if (high >= mostMm && !isTooMuch(mostMm)) return undefined
  let [low, top] = [high / 2, Math.min(high, mostMm)]
  while (top - low > finestMm) {
    const middle = (low + top) / 2
    if (isTooMuch(middle)) top = middle
    else low = middle
  }
  return top
}

function chanceWith(judged: readonly Tolerated[], shiftMm: (one: Tolerated) => number): number {
  const count = judged[0]?.valuesMm.length ?? 0
  const shifts = judged.map(shiftMm)
  let good = 0
  for (let index = 0; index < count; index += 1) {
    let goes = true
    for (let at = 0; goes && at < judged.length; at += 1) {
      const value = (judged[at]?.valuesMm[index] ?? 0) + (shifts[at] ?? 0)
      goes = judged[at]?.stretches.some(({ fromMm, toMm }) => value >= fromMm && value <= toMm) ?? true
    }
    if (goes) good += 1
  }
  return good / count
}
