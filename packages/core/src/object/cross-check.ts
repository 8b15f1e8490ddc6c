import { findingWhen, type Finding } from '../finding/finding.js'
import { absolute, longest, mm, scale, subtract, type Length } from '../length/length.js'
import { totalOf } from '../piece/reason.js'
import { deriveBoard, deriveWrapFromSides } from './derive.js'
import { findSlip, type Slip } from './slips.js'
import { largestReading, readingKeys, smallestReading, type CoveredObject } from './reading.js'

/**
 * What the readings say about each other. `boardCounts` where the way of making reckons with the board's thickness.
 * Source: docs/craft.md, Cross-checks.
 */
export function checkReadings(
  object: CoveredObject,
  { boardCounts }: { readonly boardCounts: boolean },
): readonly Finding[] {
  return [
    ...checkWrap(object),
    ...checkOpenWidth(object),
    ...checkSides(object),
    ...readingKeys.flatMap(key => checkSpread(object, key)),
    ...(boardCounts ? checkBoard(object) : []),
  ]
}

function checkWrap(object: CoveredObject): readonly Finding[] {
  const wrap = largestReading(object, 'wrap')
  if (wrap === undefined) return []
  const width = largestReading(object, 'width')
  if (width !== undefined && wrap < scale(width, 2))
    return findingWhen(true, 'wrap-impossible', 'reading:wrap', { wrap, boards: scale(width, 2) })
  const sides = deriveWrapFromSides(object)
  if (!sides) return []
  const expected = totalOf(sides)
  const allowed = longest(mm(3), scale(wrap, 0.015))
  if (differ(wrap, expected) <= allowed) return []
  return findingWhen(true, 'wrap-disagrees', 'reading:wrap', { wrap, expected, ...likelySlip(object) })
}

function checkOpenWidth(object: CoveredObject): readonly Finding[] {
  const open = largestReading(object, 'openWidth')
  if (open === undefined) return []
  const wrap = largestReading(object, 'wrap')
  if (wrap !== undefined) {
    const allowed = longest(mm(6), scale(wrap, 0.03))
    const apart = differ(open, wrap) > allowed
    return findingWhen(apart, 'open-closed-differ', 'reading:openWidth', { open, wrap })
  }
  const thickness = largestReading(object, 'thickness')
  if (thickness === undefined) return []
  return findingWhen(
    thickness >= mm(15),
    'open-only',
    'reading:openWidth',
    { thickness },
    { kind: 'measure', reading: 'wrap' },
  )
}

function checkSides(object: CoveredObject): readonly Finding[] {
  const width = largestReading(object, 'width')
  const height = largestReading(object, 'height')
  if (width === undefined || height === undefined) return []
  const mayLie = object.kind === 'tablet' || object.kind === 'journal'
  return findingWhen(
    !mayLie && width > height,
    'sides-swapped',
    'reading:width',
    { width, height },
    { kind: 'swap-readings', first: 'height', second: 'width' },
  )
}

function checkSpread(object: CoveredObject, reading: (typeof readingKeys)[number]): readonly Finding[] {
  const largest = largestReading(object, reading)
  const smallest = smallestReading(object, reading)
  if (largest === undefined || smallest === undefined) return []
  if (subtract(largest, smallest) <= mm(3)) return []
  return findingWhen(true, 'readings-spread', `reading:${reading}`, {
    reading,
    smallest,
    largest,
    ...likelySlip({ ...object, readings: { [reading]: object.readings[reading] ?? [] } }),
  })
}

/** The classic slip that would explain it, where one does. */
function likelySlip(object: CoveredObject): { readonly slip?: Slip } {
  const slip = findSlip(object)
  return slip ? { slip } : {}
}

function checkBoard(object: CoveredObject): readonly Finding[] {
  const board = deriveBoard(object)
  return findingWhen(
    board.assumed,
    'board-assumed',
    'reading:boardThickness',
    { assumed: board.length },
    { kind: 'measure', reading: 'boardThickness' },
  )
}

function differ(one: Length, other: Length): Length {
  return absolute(subtract(one, other))
}
