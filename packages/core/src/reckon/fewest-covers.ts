import type { Cover } from '../file/cover.js'
import type { CoveredObject } from '../object/reading.js'
import { plan } from '../plan/plan.js'

/** Beyond this many things the exact search would try too many ways to share them out. */
const mostExact = 12

/**
 * The fewest covers of an adjustable kind that serve all of the things, each with the free end that serves the most, each cover as the list of things it serves
 * (counted from 0); things that not even a cover of their own serves stand alone. Exact up to twelve things; beyond
 * it takes the cover that serves most again and again.
 */
export function fewestCovers(cover: Cover): readonly (readonly number[])[] {
  const { objects } = cover
  const sets = servingSets(cover)
  const found =
    objects.length <= mostExact ? exactCover(sets, objects.length) : greedyCover(sets, objects.length)
  return found.map(set => set.toSorted((one, other) => one - other))
}

/** For each thing, a largest group with it that one cover serves. */
function servingSets(cover: Cover): readonly (readonly number[])[] {
  const { objects } = cover
  return objects.map((first, index) => {
    const together = objects.flatMap((other, at) =>
      at === index || serveBoth(cover, first, other) ? [at] : [],
    )
    return trim(cover, together, index)
  })
}

/** Leaves out of a group what spoils it, the first that is not served again and again. */
function trim(cover: Cover, group: readonly number[], keep: number): readonly number[] {
  const planned = plan(withThings(cover, group))
  const spoilt = (planned.serves ?? []).findIndex(
    ({ reason }, at) => reason !== undefined && group[at] !== keep,
  )
  if (spoilt < 0 || group.length <= 1) return servesAll(cover, group) ? group : [keep]
  return trim(
    cover,
    group.filter((_, at) => at !== spoilt),
    keep,
  )
}

function serveBoth(cover: Cover, one: CoveredObject, other: CoveredObject): boolean {
  const pair = cover.objects.flatMap((object, at) => (object === one || object === other ? [at] : []))
  return servesAll(cover, pair)
}

function servesAll(cover: Cover, group: readonly number[]): boolean {
  return (plan(withThings(cover, group)).serves ?? []).every(({ reason }) => reason === undefined)
}

function withThings(cover: Cover, group: readonly number[]): Cover {
  const objects = group.flatMap(index => cover.objects[index] ?? [])
  const [object = cover.object] = objects
  const varied = cover.family.variedOptions ?? []
  const options = Object.fromEntries(Object.entries(cover.options).filter(([key]) => !varied.includes(key)))
  return { ...cover, object, objects, options }
}

function greedyCover(sets: readonly (readonly number[])[], count: number): readonly (readonly number[])[] {
  const open = new Set(Array.from({ length: count }, (_, index) => index))
  const chosen: (readonly number[])[] = []
  while (open.size > 0) {
    const gains = sets.map(set => set.filter(index => open.has(index)))
    const best = gains.reduce<readonly number[]>((most, set) => (set.length > most.length ? set : most), [])
    const next = best.length > 0 ? best : [...open].slice(0, 1)
    chosen.push(next)
    for (const index of next) open.delete(index)
  }
  return chosen
}

function exactCover(sets: readonly (readonly number[])[], count: number): readonly (readonly number[])[] {
  let best = greedyCover(sets, count)
  const search = (open: ReadonlySet<number>, chosen: readonly (readonly number[])[]): void => {
    const [first] = open
    if (first === undefined) {
      if (chosen.length < best.length) best = chosen
      return
    }
    if (chosen.length + 1 >= best.length) return
    for (const set of [...sets.filter(candidate => candidate.includes(first)), [first]]) {
      const next = set.filter(index => open.has(index))
      search(new Set([...open].filter(index => !next.includes(index))), [...chosen, next])
    }
  }
  search(new Set(Array.from({ length: count }, (_, index) => index)), [])
  return best
}
