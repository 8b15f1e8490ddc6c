/** So many looks at a group are taken before the best so far is given: a few tenths of a second. */
const mostLooks = 1_500_000

/** Groups that together hold every thing, each thing in one of them, and how few they can be. */
export interface FewestGroups {
  readonly groups: readonly (readonly number[])[]
  /** There are at least so many; as many where that is proven. */
  readonly bound: number
}

/** No fewer groups than so many hold every one of `count` things. */
export function leastGroups(groups: readonly (readonly number[])[], count: number): number {
  return createSearch(groups, groupsHolding(groups, count)).boundFor(
    Array.from({ length: count }, () => true),
  )
}

/**
 * The fewest of some groups that hold every one of `count` things: exact where that is found in time, which the bound
 * tells by being the same. Things that are in no group stand alone.
 */
export function fewestGroups(groups: readonly (readonly number[])[], count: number): FewestGroups {
  const holding = groupsHolding(groups, count)
  const alone = holding.flatMap((held, thing) => (held.length === 0 ? [[thing]] : []))
  const search = createSearch(groups, holding)
  const bound = search.boundFor(holding.map(held => held.length > 0))
  const chosen = search.run(bound)
  return {
    groups: [...eachOnce(chosen.map(index => groups[index] ?? [])), ...alone],
    bound: bound + alone.length,
  }
}

/** The groups that hold each thing. */
function groupsHolding(
  groups: readonly (readonly number[])[],
  count: number,
): readonly (readonly number[])[] {
  const holding = Array.from({ length: count }, () => [] as number[])
  for (const [index, group] of groups.entries()) for (const thing of group) holding[thing]?.push(index)
  return holding
}

function createSearch(groups: readonly (readonly number[])[], holding: readonly (readonly number[])[]) {
  const together = (one: number, other: number) => {
    const held = new Set(holding[one])
    return (holding[other] ?? []).some(group => held.has(group))
  }

  /** Things no two of which are in one group: each wants a cover of its own. Those with few companions are taken first. */
  const boundFor = (open: readonly boolean[]): number => {
    const order = holding.flatMap((held, thing) => {
      if (!open[thing]) return []
      const companions = new Set(held.flatMap(group => groups[group] ?? []))
      return [{ thing, companions: companions.size }]
    })
    order.sort((one, other) => one.companions - other.companions)
    const apart: number[] = []
    for (const { thing } of order) if (!apart.some(other => together(thing, other))) apart.push(thing)
    return apart.length
  }

  const run = (bound: number): readonly number[] => {
    const open = holding.map(held => held.length > 0)
    let left = open.filter(Boolean).length
    let best = greedy(groups, open)
    let looks = 0
    const chosen: number[] = []
    const visit = (): void => {
      if (left === 0) {
        best = [...chosen]
        return
      }
      if (chosen.length + 1 >= best.length) return
      const thing = fewestChoices(holding, open)
      const gains = (holding[thing] ?? [])
        .map(group => ({ group, gain: (groups[group] ?? []).filter(other => open[other]) }))
        .sort((one, other) => other.gain.length - one.gain.length)
      looks += groups.length
      // what is left needs so many more at the least
      if (chosen.length + Math.ceil(left / largestGain(groups, open)) >= best.length) return
      for (const { group, gain } of gains) {
        if (best.length <= bound || looks > mostLooks) return
        for (const other of gain) open[other] = false
        left -= gain.length
        chosen.push(group)
        visit()
        chosen.pop()
        left += gain.length
        for (const other of gain) open[other] = true
      }
    }
    if (best.length > bound) visit()
    return best
  }

  return { boundFor, run }
}

function largestGain(groups: readonly (readonly number[])[], open: readonly boolean[]): number {
  let most = 1
  for (const group of groups) {
    let gain = 0
    for (const thing of group) if (open[thing]) gain += 1
    if (gain > most) most = gain
  }
  return most
}

/** The open thing that the fewest groups hold. */
function fewestChoices(holding: readonly (readonly number[])[], open: readonly boolean[]): number {
  let best = -1
  for (const [thing, held] of holding.entries())
    if (open[thing] && (best < 0 || held.length < (holding[best]?.length ?? 0))) best = thing
  return best
}

/** Whatever holds the most, again and again. */
function greedy(groups: readonly (readonly number[])[], wanted: readonly boolean[]): readonly number[] {
  const open = [...wanted]
  const chosen: number[] = []
  while (open.some(Boolean)) {
    let [best, most] = [0, -1]
    for (const [index, group] of groups.entries()) {
      const gain = group.filter(thing => open[thing]).length
      if (gain > most) [best, most] = [index, gain]
    }
    chosen.push(best)
    for (const thing of groups[best] ?? []) open[thing] = false
  }
  return chosen
}

/** A thing that two covers would serve goes with the first. */
function eachOnce(groups: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const taken = new Set<number>()
  return groups
    .map(group => {
      const own = group.filter(thing => !taken.has(thing))
      for (const thing of own) taken.add(thing)
      return own
    })
    .filter(group => group.length > 0)
}
