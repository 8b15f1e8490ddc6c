import type { Instance, Task } from './instance.js'

/** The longest way from each task to the end, with its waits. */
export function tailsOf({ tasks }: Pick<Instance, 'tasks'>): readonly number[] {
  const tails: (number | undefined)[] = []
  const tail = (index: number): number => {
    const known = tails[index]
    if (known !== undefined) return known
    const { minutes, wait, neededBy } = tasks[index] as Task
    const after = neededBy.reduce((most, next) => Math.max(most, wait + tail(next)), 0)
    return (tails[index] = minutes + after)
  }
  return tasks.map(({ index }) => tail(index))
}
