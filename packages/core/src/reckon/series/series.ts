import type { Cover } from '../../file/cover.js'
import { longest, toMm, zero, type Length } from '../../length/length.js'
import { missingReadings } from '../../object/required.js'
import type { CoveredObject } from '../../object/reading.js'
import { plan, type Plan } from '../../plan/plan.js'
import { fewestGroups, leastGroups } from './fewest-groups.js'
import { largestGroups } from './groups-of-boxes.js'
import { sizesThatServe } from './sizes-that-serve.js'

/** One cover of a series: the things it serves, counted from 0, and the plan of it. */
export interface SeriesCover {
  readonly things: readonly number[]
  /** How it is planned: for all its things, or cut to what the largest of them wants. */
  readonly cover: Cover
  readonly plan: Plan
}

/** The fewest covers that serve many things, made one way. */
export interface Series {
  /** Those that serve the most first. */
  readonly covers: readonly SeriesCover[]
  /** No fewer than so many would do; as many as there are where that is proven. */
  readonly bound: number
  /** Things that this way of making needs more readings of, or does not suit. */
  readonly left: readonly number[]
}

/**
 * The fewest covers like this one that serve all of some things: of one size for several where their ease stays between
 * what was set and baggy, or adjusted to each where the way of making is made for it. Every group is planned before it is
 * given. About a millisecond a thing. Source: docs/craft.md, Series.
 */
export function planSeries(cover: Cover, objects: readonly CoveredObject[]): Series {
  const { family } = cover
  const known = objects.flatMap((object, thing) =>
    missingReadings(object, family.requiredReadings).length === 0 && family.suits(object).suits
      ? [{ thing, object, plan: plan(forOne(cover, object)) }]
      : [],
  )
  const groupsOf = (short: Length) =>
    largestGroups(known.map(one => sizesThatServe(one.plan, short) ?? onlyItself))
  const { groups } = fewestGroups(groupsOf(cover.grid), known.length)
  const bound = leastGroups(groupsOf(zero), known.length)
  const covers = groups.flatMap(group =>
    coversFor(
      cover,
      group.flatMap(index => known[index] ?? []),
    ),
  )
  return {
    covers: covers.toSorted((one, other) => other.things.length - one.things.length),
    bound,
    left: objects.flatMap((_, thing) => (known.some(one => one.thing === thing) ? [] : [thing])),
  }
}

/** No size of another serves it. */
const onlyItself = { width: [], height: [] }

interface Known {
  readonly thing: number
  readonly object: CoveredObject
  readonly plan: Plan
}

/** What only one thing, or one old cover, told says nothing of others; a free end is chosen anew for each series. */
function forOne(cover: Cover, object: CoveredObject): Cover {
  const { trial: _trial, ...others } = cover
  const varied = cover.family.variedOptions ?? []
  const options = Object.fromEntries(Object.entries(cover.options).filter(([key]) => !varied.includes(key)))
  return { ...others, old: {}, object, objects: [object], options }
}

/** One cover for a group; where the plan of it leaves a thing out after all, that has one of its own. */
function coversFor(cover: Cover, group: readonly Known[]): readonly SeriesCover[] {
  const [first] = group
  if (!first) return []
  if (group.length === 1)
    return [{ things: [first.thing], cover: forOne(cover, first.object), plan: first.plan }]
  const made = cover.family.severalObjects ? forAll(cover, group) : cutToLargest(cover, group)
  const planned = plan(made)
  const unserved = new Set((planned.serves ?? []).flatMap(({ book, reason }) => (reason ? [book - 1] : [])))
  if (unserved.size === 0) return [{ things: group.map(({ thing }) => thing), cover: made, plan: planned }]
  const [out, served] = [
    group.filter((_, index) => unserved.has(index)),
    group.filter((_, index) => !unserved.has(index)),
  ]
  return served.length === 0
    ? group.flatMap(one => coversFor(cover, [one]))
    : [...coversFor(cover, served), ...coversFor(cover, out)]
}

function forAll(cover: Cover, group: readonly Known[]): Cover {
  const objects = group.map(({ object }) => object)
  return { ...forOne(cover, objects[0] ?? cover.object), objects }
}

/** As wide as the widest of them wants it, as high as the highest. */
function cutToLargest(cover: Cover, group: readonly Known[]): Cover {
  const outers = group.flatMap(({ plan: { pieces } }) => pieces.find(({ id }) => id === 'outer') ?? [])
  const width = longest(zero, ...outers.map(piece => piece.width.cut))
  const height = longest(zero, ...outers.map(piece => piece.height.cut))
  const widest = group.reduce((most, one) => (needIn(one) > needIn(most) ? one : most))
  return { ...forOne(cover, widest.object), sizing: { mode: 'cut', width, height } }
}

function needIn({ plan: { fits } }: Known): number {
  return fits.reduce((sum, { needed }) => sum + needed, 0)
}

/** What a plan takes of the cloth of each role, in square metres. */
export function clothAreas({ pieces }: Plan): Readonly<Record<string, number>> {
  const areas: Record<string, number> = {}
  for (const { role, width, height, count } of pieces)
    areas[role] = (areas[role] ?? 0) + (count * toMm(width.cut) * toMm(height.cut)) / 1_000_000
  return areas
}
