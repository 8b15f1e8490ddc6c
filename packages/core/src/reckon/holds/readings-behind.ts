import { dimensionOf, type Dimension } from '../../drawing/strip-dimensions.js'
import { withObjects, type Cover } from '../../file/cover.js'
import { absolute, add, scale, subtract, zero, type Length } from '../../length/length.js'
import { largestReading, type CoveredObject, type ReadingKey } from '../../object/reading.js'
import { plan, type Plan } from '../../plan/plan.js'

/** A reading that a size of the flat cover follows. */
export interface ReadingBehind {
  readonly reading: ReadingKey
  /** How much longer the size gets for each length of it. */
  readonly rate: number
}

/** Sizes may go up to the grid: a reading is tried longer by several. */
const grids = 4
/** What moves a size by less than this share of itself only takes part. */
const leastRate = 0.1

/** What was measured that a size follows, the strongest first: each reading is tried a little longer. One plan for each. */
export function readingsBehind(cover: Cover, planned: Plan, dimension: Dimension): readonly ReadingBehind[] {
  const before = dimensionOf(planned.strip, dimension)
  if (before === undefined) return []
  const step = scale(cover.grid, grids)
  return (Object.keys(cover.object.readings) as ReadingKey[])
    .flatMap((reading): readonly ReadingBehind[] => {
      if (largestReading(cover.object, reading) === undefined) return []
      const longer = withObjects(cover, object => withLonger(object, reading, step))
      const after = dimensionOf(plan(longer).strip, dimension) ?? before
      const rate = subtract(after, before) / step
      return absolute(subtract(after, before)) > zero && Math.abs(rate) >= leastRate
        ? [{ reading, rate }]
        : []
    })
    .toSorted((one, other) => Math.abs(other.rate) - Math.abs(one.rate))
}

function withLonger(object: CoveredObject, reading: ReadingKey, step: Length): CoveredObject {
  const taken = object.readings[reading] ?? []
  return {
    ...object,
    readings: {
      ...object.readings,
      [reading]: taken.map(one => ({ ...one, length: add(one.length, step) })),
    },
  }
}
