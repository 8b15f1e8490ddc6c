import { ofTicks, type Length } from '../length/length.js'
import type { Layout } from './layout.js'
import type { Cloth } from './request.js'
import { partsIn, type Rectangle } from './rooms-around-pins.js'

/** A rectangle of cloth that nothing lies on. */
export interface LeftOver {
  readonly cloth: string
  readonly sheet: number
  readonly x: Length
  readonly y: Length
  readonly width: Length
  readonly height: Length
}

/** More pieces on a sheet than that leave hardly anything, and it would take long to find. */
const mostPieces = 150
const mostLeftOvers = 12

/**
 * What is left as usable rectangles, the largest first, none over another nor over what is avoided; neither side under
 * `least`. Of a cloth without a length only what lies beside the pieces is told.
 */
export function findLeftOvers(
  { used, placements }: Layout,
  cloths: readonly Pick<Cloth, 'id' | 'length' | 'avoid'>[],
  least: Length,
): readonly LeftOver[] {
  return used.flatMap(({ cloth, sheet, width, length }) => {
    const here = placements.filter(on => on.cloth === cloth && on.sheet === sheet)
    const of = cloths.find(({ id }) => id === cloth)
    const whole = { x: 0, y: 0, width, height: of?.length ?? length }
    if (here.length > mostPieces) return []
    return largestFree(whole, [...here, ...partsIn(whole, of?.avoid ?? [])], least).map(
      ({ x, y, width: wide, height }) => ({
        cloth,
        sheet,
        x: ofTicks(x),
        y: ofTicks(y),
        width: ofTicks(wide),
        height: ofTicks(height),
      }),
    )
  })
}

function largestFree(whole: Rectangle, taken: readonly Rectangle[], least: number): readonly Rectangle[] {
  const found: Rectangle[] = []
  while (found.length < mostLeftOvers) {
    const next = largestEmpty(whole, [...taken, ...found], least)
    if (!next) return found
    found.push(next)
  }
  return found
}

/** Tries every pair of levels at which something begins or ends, and the free stretches between them. */
function largestEmpty(whole: Rectangle, taken: readonly Rectangle[], least: number): Rectangle | undefined {
  const ends = taken.flatMap(({ y, height }) => [y, y + height])
  const levels = [...new Set([whole.y, whole.y + whole.height, ...ends])].toSorted(
    (one, other) => one - other,
  )
  const sideways = taken.toSorted((one, other) => one.x - other.x)
  let best: Rectangle | undefined
  let bestArea = 0
  for (const low of levels)
    for (const high of levels) {
      if (high - low < least || (high - low) * whole.width <= bestArea) continue
      let from = whole.x
      const consider = (to: number): void => {
        const area = (to - from) * (high - low)
        if (to - from < least || area <= bestArea) return
        best = { x: from, y: low, width: to - from, height: high - low }
        bestArea = area
      }
      for (const { x, y, width, height } of sideways) {
        if (y >= high || y + height <= low) continue
        consider(x)
        from = Math.max(from, x + width)
      }
      consider(whole.x + whole.width)
    }
  return best
}
