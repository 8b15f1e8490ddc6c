import type { Instance } from './instance.js'

/** What is left to do while a plan of time is built, and what of it can be begun. */
export interface ReadyWork {
  /** Blocks with everything that they need done. */
  readonly ready: ReadonlySet<number>
  /** Of each make by its rank, the tasks and the minutes that are left. */
  readonly tasksLeft: Int32Array
  readonly minutesLeft: Float64Array
  /** It is done: what waits for nothing else can be begun. */
  finish(block: number): void
  /** It finds no place: neither will what needs it. */
  drop(block: number): void
}

/** `rankOf` is the make of each task, by rank. */
export function createReadyWork(instance: Instance, rankOf: Int32Array, makes: number): ReadyWork {
  const { tasks, blocks, blockOf } = instance
  const tasksLeft = new Int32Array(makes)
  const minutesLeft = new Float64Array(makes)
  const count = (index: number, sign: 1 | -1) => {
    const rank = rankOf[index] ?? 0
    tasksLeft[rank] = (tasksLeft[rank] ?? 0) + sign
    minutesLeft[rank] = (minutesLeft[rank] ?? 0) + sign * (tasks[index]?.minutes ?? 0)
  }
  for (const { index } of tasks) count(index, 1)
  const waiting = Int32Array.from(blocks, block => needsOutside(instance, block))
  const ready = new Set([...blocks.keys()].filter(block => waiting[block] === 0))
  return {
    ready,
    tasksLeft,
    minutesLeft,
    drop: block => ready.delete(block),
    finish: block => {
      ready.delete(block)
      for (const index of blocks[block] ?? []) {
        count(index, -1)
        for (const next of tasks[index]?.neededBy ?? []) {
          const other = blockOf[next] ?? 0
          if (other === block) continue
          const left = (waiting[other] ?? 0) - 1
          waiting[other] = left
          if (left === 0) ready.add(other)
        }
      }
    },
  }
}

function needsOutside({ tasks, blockOf }: Instance, block: readonly number[]): number {
  const own = blockOf[block[0] ?? 0]
  const needs = block.flatMap(index => tasks[index]?.needs ?? [])
  return needs.filter(need => blockOf[need] !== own).length
}
