import { mm, nesting, type Cuts, type Layout, type Length } from '../../packages/core/src/index.js'
import type { Instance } from './instances.js'

/** How a search went: every length that it came to, and when. In the instance’s units. */
export interface Course {
  readonly firstMs: number
  readonly bound: number
  readonly final: number
  readonly lengthAt: (ms: number) => number
}

const tick = mm(1)

/** Runs one search for so long, or to its end. */
export function solve(instance: Instance, cuts: Cuts, turn: boolean, ms: number): Course {
  const request = {
    cuts,
    gap: 0 as Length,
    budgetMs: ms,
    seed: 1,
    cloths: [{ id: 'strip', width: (instance.width * tick) as Length, count: 1 }],
    pieces: instance.pieces.map(({ width, height }, index) => ({
      id: String(index),
      width: (width * tick) as Length,
      height: (height * tick) as Length,
      count: 1,
      turn: turn ? ('quarter' as const) : ('none' as const),
    })),
  }
  const began = performance.now()
  const course: { readonly at: number; readonly length: number }[] = []
  let last: Layout | undefined
  for (const layout of nesting(request)) {
    const at = performance.now() - began
    if (layout) {
      last = layout
      course.push({ at, length: (layout.used[0]?.length ?? NaN) / tick })
    }
    if (at > ms && last) break
  }
  return {
    firstMs: course[0]?.at ?? NaN,
    bound: (last?.used[0]?.bound ?? NaN) / tick,
    final: course.at(-1)?.length ?? NaN,
    lengthAt: limit => (course.findLast(({ at }) => at <= limit) ?? course[0])?.length ?? NaN,
  }
}
