import { createRandom } from '../../fit/simulation/random.js'
import { factsOf, placeByRules, type Rules } from './by-rules.js'
import { isSmall, tryEveryOrder } from './every-order.js'
import type { Instance, Task } from './instance.js'
import { oneByOne } from './one-by-one.js'
import { createTimetable, type Timetable } from './timetable.js'
import { compareWorth, worthOf, type Worth } from './worth.js'

/** A plan of time, and what it is worth. */
export interface Planned {
  readonly timetable: Timetable
  readonly worth: Worth
}

/** Places blocks strictly in an order; those that find no place are left out, with what needs them. */
export function placeInOrder(instance: Instance, order: readonly number[]): Planned {
  const timetable = createTimetable(instance)
  for (const block of order) timetable.place(instance.blocks[block] ?? [])
  return { timetable, worth: worthOf(instance, timetable) }
}

/**
 * Better and better plans of time: yields each better one, the first at once, and undefined after every try, so that it
 * can be stopped at any time. Never worse than one cover after the other. Few steps: the best, and the end. The same
 * seed gives the same plans.
 */
export function* scheduling(instance: Instance, seed: number): Generator<Planned | undefined, void> {
  const plain = oneByOne(instance)
  let best = placeInOrder(instance, plain)
  yield best
  if (isSmall(instance)) {
    const exact = tryEveryOrder(instance)
    if (exact) {
      const worth = worthOf(instance, exact)
      if (compareWorth(worth, best.worth) < 0) yield { timetable: exact, worth }
      return
    }
  }
  const random = createRandom(seed)
  let order = plain
  const facts = factsOf(instance)
  for (const rules of rulesToTry(facts.makes.length, random)) {
    const built = placeByRules(facts, rules)
    const worth = worthOf(instance, built.timetable)
    const isBetter = compareWorth(worth, best.worth) < 0
    if (isBetter) {
      best = { timetable: built.timetable, worth }
      order = withLeftOut(instance, built.order)
    }
    yield isBetter ? best : undefined
  }
  yield* moveBlocks(instance, order, best, random)
}

/** What found no place is tried again at the end. */
function withLeftOut({ blocks }: Instance, order: readonly number[]): readonly number[] {
  const placed = new Set(order)
  return [...order, ...[...blocks.keys()].filter(block => !placed.has(block))]
}

/** Rules that often do well, the best first; `sideBySide` as a share of all makes. */
const goodRules: readonly Omit<Rules, 'order'>[] = [
  { setUp: 100, idle: 100, tail: 0.001, crowd: 0.05, ahead: 0, margin: 0, sideBySide: 1 },
  { setUp: 1, idle: 3, tail: 0.001, crowd: 0, ahead: 0, margin: 0, sideBySide: 1 },
  { setUp: 10, idle: 30, tail: 0, crowd: 0.1, ahead: 0, margin: 0.2, sideBySide: 0.4 },
  { setUp: 100, idle: 100, tail: 0.001, crowd: 0.05, ahead: 1, margin: 0.2, sideBySide: 1 },
  { setUp: 10, idle: 30, tail: 0, crowd: 0.1, ahead: 0, margin: 0.4, sideBySide: 0.25 },
  { setUp: 1, idle: 10, tail: 0, crowd: 0.1, ahead: 0, margin: 0, sideBySide: 0 },
]
const randomTries = 20

/** Good rules, then others by chance. */
function* rulesToTry(makes: number, random: () => number): Generator<Rules> {
  const byDue = Array.from({ length: makes }, (_, index) => index)
  const many = (share: number) => Math.max(1, Math.ceil(share * makes))
  for (const rules of goodRules) yield { ...rules, order: byDue, sideBySide: many(rules.sideBySide) }
  for (let attempt = 0; attempt < randomTries; attempt += 1)
    yield {
      order: nudged(byDue, random),
      sideBySide: many(random() < 0.5 ? 1 : random()),
      margin: random() / 2,
      ahead: random() < 0.8 ? 0 : 1,
      setUp: 10 ** (2 * random()),
      idle: 10 ** (2 * random()),
      tail: 10 ** (-4 * random()),
      crowd: random() < 0.3 ? 0 : 10 ** (-2 * random()),
    }
}

/** The same order but for a few neighbours. */
function nudged(order: readonly number[], random: () => number): readonly number[] {
  const next = [...order]
  for (let swaps = Math.floor(random() * 3); swaps > 0; swaps -= 1) {
    const at = Math.floor(random() * Math.max(1, next.length - 1))
    const [one, other] = [next[at], next[at + 1]]
    if (one !== undefined && other !== undefined) [next[at], next[at + 1]] = [other, one]
  }
  return next
}

/** Moves that were tried in vain before it is given up, by block. */
const patience = 60

/** Takes a block elsewhere in the order, mostly beside one of the same place, and keeps what is no worse. */
function* moveBlocks(
  instance: Instance,
  begin: readonly number[],
  from: Planned,
  random: () => number,
): Generator<Planned | undefined, void> {
  const { tasks, blocks } = instance
  if (blocks.length < 2) return
  const placeOf = (block: number) => (tasks[blocks[block]?.[0] ?? 0] as Task).place
  let order = [...begin]
  let best = from
  // the order may say something else than the rules made of it
  const again = placeInOrder(instance, order)
  if (compareWorth(again.worth, best.worth) < 0) best = again
  let current = again
  for (let inVain = 0; inVain < patience * blocks.length; inVain += 1) {
    const at = Math.floor(random() * order.length)
    const block = order[at] as number
    const to = target(order, at, placeOf, random)
    if (to === at) continue
    const moved = [...order]
    moved.splice(at, 1)
    moved.splice(to, 0, block)
    if (!keepsNeeds(instance, moved, Math.min(at, to), Math.max(at, to))) continue
    const tried = placeInOrder(instance, moved)
    const difference = compareWorth(tried.worth, current.worth)
    if (difference <= 0) {
      order = moved
      current = tried
    }
    if (difference < 0) inVain = 0
    const isBetter = compareWorth(current.worth, best.worth) < 0
    if (isBetter) best = current
    yield isBetter ? best : undefined
  }
}

/** Beside another block of the same place, else anywhere. */
function target(
  order: readonly number[],
  at: number,
  placeOf: (block: number) => number,
  random: () => number,
): number {
  const place = placeOf(order[at] as number)
  for (let attempt = 0; attempt < 8; attempt += 1) {
    const to = Math.floor(random() * order.length)
    if (to !== at && placeOf(order[to] as number) === place) return to
  }
  return Math.floor(random() * order.length)
}

/** Whether no block of the stretch comes before one that it needs. */
function keepsNeeds(
  { tasks, blocks, blockOf }: Instance,
  order: readonly number[],
  from: number,
  to: number,
) {
  const later = new Set(order.slice(from, to + 1))
  for (let at = from; at <= to; at += 1) {
    const block = order[at] as number
    later.delete(block)
    for (const index of blocks[block] ?? [])
      for (const need of tasks[index]?.needs ?? []) if (later.has(blockOf[need] ?? -1)) return false
  }
  return true
}
