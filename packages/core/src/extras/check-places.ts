import type { Strip, StripLine } from '../families/strip.js'
import { findingWhen, type Finding, type FindingData } from '../finding/finding.js'
import { add, longest, mm, shortest, subtract, zero, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import type { Footprint } from './contract.js'

/** An extra's ground, with the name that a finding calls it by and its place in the list of extras. */
export interface NamedFootprint extends Footprint {
  readonly name: string
  readonly index: number
}

/** Extras that collide, reach over an edge, lie over a fold or in the turning opening. Source: docs/craft.md, Things added. */
export function checkPlaces(strip: Strip, prints: readonly NamedFootprint[], unit: Unit): readonly Finding[] {
  return [
    ...prints.flatMap(checkEdge),
    ...prints.flatMap(print => checkFolds(strip, print)),
    ...prints.flatMap(print => checkOpening(strip, print, unit)),
    ...checkPairs(prints),
  ]
}

/** Each with each that comes after it: of many that hardly one collides. */
function checkPairs(prints: readonly NamedFootprint[]): readonly Finding[] {
  const found: Finding[] = []
  prints.forEach((first, index) => {
    for (let next = index + 1; next < prints.length; next += 1) {
      const second = prints[next]
      if (second && collide(first, second)) found.push(...describeCollision(first, second))
    }
  })
  return found
}

function checkEdge({ index, name, within, ...print }: NamedFootprint): readonly Finding[] {
  if (!within) return []
  const over = ([0, 1] as const).map(axis => {
    const [start, end] = spanOf(print, axis)
    const [first, last] = spanOf(within, axis)
    return longest(subtract(first, start), subtract(end, last))
  })
  const [across = zero, along = zero] = over
  const by = longest(across, along)
  const data = { extra: name, on: within.name, by, room: across > along ? within.width : within.height }
  return findingWhen(by > mm(0.05), 'extra-outside', `extra:${index}`, data)
}

function checkFolds({ lines }: Strip, { index, name, ...print }: NamedFootprint): readonly Finding[] {
  if (print.crossesFolds) return []
  const [left, right] = spanOf(print, 0)
  const [top, bottom] = spanOf(print, 1)
  const folds = lines.filter(({ kind }) => kind === 'fold')
  const reaches = folds.map(({ from, to }) => {
    const level = from[1] === to[1]
    const [low, high, at] = level ? [top, bottom, from[1]] : [left, right, from[0]]
    return shortest(subtract(at, low), subtract(high, at))
  })
  const by = longest(zero, ...reaches)
  return findingWhen(by > mm(1), 'extra-over-fold', `extra:${index}`, { extra: name, by })
}

function checkOpening(
  { lines }: Strip,
  { index, name, ...print }: NamedFootprint,
  unit: Unit,
): readonly Finding[] {
  if (!print.atEdge) return []
  const found = lines
    .filter(({ kind }) => kind === 'opening')
    .flatMap(opening => checkPartOfOpening(opening, { index, name, ...print }, unit))
  return found.slice(0, 1)
}

function checkPartOfOpening(
  opening: StripLine,
  { index, name, ...print }: NamedFootprint,
  unit: Unit,
): readonly Finding[] {
  const clear = customary(1 / 2, unit)
  const over = ([0, 1] as const).map(axis => {
    const [start, end] = spanOf(print, axis)
    const [first, last] = [
      shortest(opening.from[axis], opening.to[axis]),
      longest(opening.from[axis], opening.to[axis]),
    ]
    return subtract(shortest(end, add(last, clear)), longest(start, subtract(first, clear)))
  })
  const [across = zero, along = zero] = over
  const data = { extra: name, over: opening.from[1] === opening.to[1] ? across : along }
  return findingWhen(
    across >= zero && along >= zero && data.over > zero,
    'extra-in-opening',
    `extra:${index}`,
    data,
  )
}

const ways = { x: ['left', 'right'], y: ['up', 'down'] } as const

/** So much over each other is no more than a thread. */
const thread = mm(0.05)

function collide(first: NamedFootprint, second: NamedFootprint): boolean {
  if (first.face !== second.face || first.index === second.index) return false
  return overlap(first, second, 0) > thread && overlap(first, second, 1) > thread
}

/** What lies on the inside is seen from there: left and right change places. */
function describeCollision(first: NamedFootprint, second: NamedFootprint): readonly Finding[] {
  const across = clearing(first, second, 0)
  const along = clearing(first, second, 1)
  const over = shortest(overlap(first, second, 0), overlap(first, second, 1))
  const sideways = across.clear <= along.clear
  const seen = isMirrored(first) ? (across.way === 0 ? 1 : 0) : across.way
  const data: FindingData['extras-collide'] = {
    first: first.name,
    second: second.name,
    over,
    clear: sideways ? across.clear : along.clear,
    way: sideways ? ways.x[seen] : ways.y[along.way],
  }
  return findingWhen(true, 'extras-collide', `extra:${second.index}`, data)
}

function isMirrored({ face, within }: Footprint): boolean {
  return within?.mirrored ?? face === 'inside'
}

/** How far two lie over each other along an axis; below nought where they stand apart. */
function overlap(first: NamedFootprint, second: NamedFootprint, axis: 0 | 1): Length {
  const [a, b] = spanOf(first, axis)
  const [c, d] = spanOf(second, axis)
  return subtract(shortest(b, d), longest(a, c))
}

/** How far the second has to go along an axis, and which way, to clear the first. */
function clearing(first: NamedFootprint, second: NamedFootprint, axis: 0 | 1) {
  const [a, b] = spanOf(first, axis)
  const [c, d] = spanOf(second, axis)
  const back = subtract(d, a)
  const forth = subtract(b, c)
  const way: 0 | 1 = back < forth ? 0 : 1
  return { clear: shortest(back, forth), way }
}

function spanOf(
  { at, width, height }: Pick<Footprint, 'at' | 'width' | 'height'>,
  axis: 0 | 1,
): readonly [Length, Length] {
  const start = at[axis]
  return [start, add(start, axis === 0 ? width : height)]
}
