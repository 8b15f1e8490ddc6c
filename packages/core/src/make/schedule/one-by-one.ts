import type { Instance } from './instance.js'

/** Makes of the instance, one a copy, the earliest due first; undated ones last, else as they were listed. */
export function makesByDue({ tasks, due }: Instance): readonly (readonly number[])[] {
  const makes = new Map<string, number[]>()
  for (const { index, job, copy } of tasks) {
    const key = `${job}/${copy}`
    makes.set(key, [...(makes.get(key) ?? []), index])
  }
  const dueOf = (make: readonly number[]) => due[tasks[make[0] ?? 0]?.job ?? 0] ?? Infinity
  return [...makes.values()].sort((one, other) =>
    dueOf(one) < dueOf(other) ? -1 : +(dueOf(one) > dueOf(other)),
  )
}

/** Cover after cover, each in its own order: blocks in the order in which their first tasks come. */
export function oneByOne(instance: Instance): readonly number[] {
  const seen = new Set<number>()
  for (const make of makesByDue(instance)) for (const index of make) seen.add(instance.blockOf[index] ?? 0)
  return [...seen]
}
