import type { SizesThatServe, Stretch } from './sizes-that-serve.js'

/**
 * Groups of things that one size serves, the largest of them: every group that is not part of another stands in the
 * list. Things are counted from 0. Sizes that matter are those where a stretch begins: a cover is no larger than one of
 * its things wants.
 */
export function largestGroups(all: readonly SizesThatServe[]): readonly (readonly number[])[] {
  const groups = new Map<string, readonly number[]>()
  for (const width of beginningsBeforeEnds(all.flatMap(sizes => sizes.width))) {
    const inWidth = all.flatMap((sizes, thing) => (holds(sizes.width, width) ? [thing] : []))
    const heights = inWidth.flatMap(thing => all[thing]?.height ?? [])
    for (const height of beginningsBeforeEnds(heights)) {
      const group = inWidth.filter(thing => holds(all[thing]?.height ?? [], height))
      groups.set(group.join(' '), group)
    }
  }
  return [...groups.values()]
}

function holds(stretches: readonly Stretch[], size: number): boolean {
  return stretches.some(({ from, to }) => from <= size && size <= to)
}

/** Of beginnings that follow each other, the last before something ends: any earlier one serves fewer. */
function beginningsBeforeEnds(stretches: readonly Stretch[]): readonly number[] {
  const froms = [...new Set(stretches.map(({ from }) => from as number))].sort((one, other) => one - other)
  const tos = stretches.map(({ to }) => to as number).sort((one, other) => one - other)
  let at = 0
  return froms.filter((from, index) => {
    const next = froms[index + 1]
    if (next === undefined) return true
    while (at < tos.length && (tos[at] ?? 0) < from) at += 1
    return (tos[at] ?? Infinity) < next
  })
}
