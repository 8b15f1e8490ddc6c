import { comingBackMinutes, setUpMinutes } from '../minutes.js'
import { workPlaces, type WorkPlace } from '../step.js'
import type { ScheduleRequest, WorkToDo } from './request.js'

/**
 * Times are reckoned in whole hundredths of a minute, so that sums are exact.
 */
export const hundredths = (minutes: number) => Math.round(minutes * 100)
export const inMinutes = (ticks: number) => ticks / 100

/** One step of one copy. Numbers are indices into the instance’s lists; times are hundredths of a minute. */
export interface Task {
  readonly index: number
  readonly job: number
  readonly copy: number
  readonly step: string
  readonly place: number
  readonly minutes: number
  readonly wait: number
  readonly within?: number
  /** It was put off until then. */
  readonly notBefore: number
  readonly needs: readonly number[]
  readonly neededBy: readonly number[]
  /** Longer than any session: it is cut in two at whole minutes. */
  readonly isSplit: boolean
}

export interface Session {
  readonly start: number
  readonly length: number
}

/** Tasks that run without a break, in their order; most stand alone. */
export type Block = readonly number[]

/** A request as numbers. Every task that is done is left out, and so is every need of it. */
export interface Instance {
  readonly tasks: readonly Task[]
  readonly blocks: readonly Block[]
  readonly blockOf: readonly number[]
  readonly sessions: readonly Session[]
  readonly firstSetUp: readonly number[]
  readonly comingBack: number
  /** By job. */
  readonly due: readonly (number | undefined)[]
}

/** The request as numbers. Steps that need each other round in a circle are a bug of who wrote them: `findCircle` first. */
export function createInstance({ work, sessions, times, setUp }: ScheduleRequest): Instance {
  const firstSetUp = workPlaces.map(place => hundredths(setUp[place] ?? setUpMinutes[place]))
  const lengths = sessions.map(({ minutes }) => hundredths(minutes))
  const longest = Math.max(0, ...lengths)
  const tasks: Omit<Task, 'neededBy'>[] = []
  for (const [job, { steps, copies, done, notBefore = {} }] of work.entries())
    for (let copy = 1; copy <= copies; copy += 1) {
      const indices = new Map<string, number>()
      const open = steps.filter(({ id }) => !done.has(id))
      for (const { id } of open) indices.set(id, tasks.length + indices.size)
      for (const { id, kind, place, minutes, wait = 0, within, needs } of open) {
        const at = placeIndex(place)
        const took = Math.max(1, hundredths(minutes * (times[kind] ?? 1)))
        tasks.push({
          index: tasks.length,
          job,
          copy,
          step: id,
          place: at,
          minutes: took,
          wait: hundredths(wait),
          ...(within !== undefined && { within: hundredths(within) }),
          notBefore: hundredths(notBefore[id] ?? -Infinity),
          needs: needs.flatMap(need => indices.get(need) ?? []),
          isSplit: took > longest - (firstSetUp[at] ?? 0),
        })
      }
    }
  const neededBy = tasks.map(() => [] as number[])
  for (const { index, needs } of tasks) for (const need of needs) neededBy[need]?.push(index)
  const linked = tasks.map((task, index) => ({ ...task, neededBy: neededBy[index] ?? [] }))
  const blocks = blocksOf(linked)
  const blockOf = linked.map(() => 0)
  for (const [block, members] of blocks.entries()) for (const member of members) blockOf[member] = block
  return {
    tasks: linked,
    blocks,
    blockOf,
    sessions: sessions.map(({ start }, index) => ({ start: hundredths(start), length: lengths[index] ?? 0 })),
    firstSetUp,
    comingBack: hundredths(comingBackMinutes),
    due: work.map(({ due }) => (due === undefined ? undefined : hundredths(due))),
  }
}

function placeIndex(place: WorkPlace): number {
  return workPlaces.indexOf(place)
}

/**
 * What must start within minutes of another hangs together with it, and with whatever lies between the two. Blocks are
 * in the order of their first tasks, tasks in the order they came.
 */
function blocksOf(tasks: readonly Task[]): readonly Block[] {
  const owner = tasks.map((_, index) => index)
  const find = (index: number): number => {
    const up = owner[index] ?? index
    return up === index ? index : (owner[index] = find(up))
  }
  const join = (one: number, other: number) => {
    const [first, second] = [find(one), find(other)]
    owner[Math.max(first, second)] = Math.min(first, second)
  }
  for (const { index, within, neededBy } of tasks)
    if (within !== undefined)
      for (const next of neededBy) {
        join(index, next)
        for (const between of betweenOf(tasks, index, next)) join(index, between)
      }
  const blocks = new Map<number, number[]>()
  for (const { index } of tasks) {
    const first = find(index)
    blocks.set(first, [...(blocks.get(first) ?? []), index])
  }
  return [...blocks.values()].map(block => inOrderOfNeeds(tasks, block))
}

/** What comes after one task and before another. */
function betweenOf(tasks: readonly Task[], first: number, last: number): readonly number[] {
  const after = reach(first, index => tasks[index]?.neededBy ?? [])
  const before = reach(last, index => tasks[index]?.needs ?? [])
  return [...after].filter(index => before.has(index))
}

function reach(from: number, next: (index: number) => readonly number[]): ReadonlySet<number> {
  const seen = new Set<number>()
  const open = [...next(from)]
  for (let index = open.pop(); index !== undefined; index = open.pop()) {
    if (seen.has(index)) continue
    seen.add(index)
    open.push(...next(index))
  }
  return seen
}

function inOrderOfNeeds(tasks: readonly Task[], block: readonly number[]): Block {
  const left = [...block]
  const order: number[] = []
  while (left.length > 0) {
    const at = left.findIndex(index => (tasks[index]?.needs ?? []).every(need => !left.includes(need)))
    order.push(...left.splice(Math.max(0, at), 1))
  }
  return order
}

/** Steps that need each other round in a circle, or that need a step there is not; none where the work can be done. */
export function findCircle({ steps }: Pick<WorkToDo, 'steps'>): readonly string[] {
  const known = new Set(steps.map(({ id }) => id))
  const unknown = steps.filter(({ needs }) => needs.some(need => !known.has(need))).map(({ id }) => id)
  if (unknown.length > 0) return unknown
  let left = steps
  for (;;) {
    const open = new Set(left.map(({ id }) => id))
    const rest = left.filter(({ needs }) => needs.some(need => open.has(need)))
    if (rest.length === left.length) return rest.map(({ id }) => id)
    left = rest
  }
}
