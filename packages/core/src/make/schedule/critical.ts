import type { Instance, Task } from './instance.js'
import { tailsOf } from './tails.js'

/**
 * The longest way of work and waits that is still to be gone, from its first step to its last: none of it can be sped up
 * by another order, only by doing without. Of equal ways the one that was listed first.
 */
export function criticalWay({ tasks }: Pick<Instance, 'tasks'>): readonly number[] {
  const tails = tailsOf({ tasks })
  const way: number[] = []
  let next = longest(tasks, tails)
  while (next) {
    way.push(next.index)
    next = longest(
      next.neededBy.flatMap(index => tasks[index] ?? []),
      tails,
    )
  }
  return way
}

function longest(tasks: readonly Task[], tails: readonly number[]): Task | undefined {
  let best: Task | undefined
  for (const task of tasks) if (!best || (tails[task.index] ?? 0) > (tails[best.index] ?? 0)) best = task
  return best
}
