import type { Progress } from '../progress.js'
import type { Step, StepKind } from '../step.js'

/** What one step took at the table, beside what was planned for it; minutes. */
export interface StepTime {
  readonly step: string
  readonly name: string
  readonly kind: StepKind
  readonly planned: number
  readonly took: number
}

/** Longer than that and the work was left lying; shorter and it was only ticked off. */
const longest = (planned: number) => 4 * planned + 15
const shortest = (planned: number) => planned / 8

/**
 * What each step took: from when it came up at the table, or from when the one before was done, to when it was done.
 * Steps that were left lying, or ticked off together, are left out: their times say nothing.
 */
export function stepTimes(progress: Progress, steps: readonly Step[]): readonly StepTime[] {
  const done = Object.entries(progress.steps)
    .flatMap(([id, { state, at }]) => (state === 'done' ? [{ id, at: Date.parse(at) }] : []))
    .sort((one, other) => one.at - other.at)
  return done.flatMap(({ id, at }, index) => {
    const step = steps.find(known => known.id === id)
    if (!step) return []
    const shown = Date.parse(progress.shown?.[id]?.at ?? '')
    const began = Math.max(shown || -Infinity, done[index - 1]?.at ?? -Infinity)
    const took = (at - began) / 60_000
    const { name, kind, minutes: planned } = step
    if (took > longest(planned) || took < shortest(planned)) return []
    return [{ step: id, name, kind, planned, took: Math.round(took * 100) / 100 }]
  })
}

/** The same by operation. */
export function timesByKind(
  times: readonly StepTime[],
): Readonly<Partial<Record<StepKind, { readonly planned: number; readonly took: number }>>> {
  const sums: Partial<Record<StepKind, { planned: number; took: number }>> = {}
  for (const { kind, planned, took } of times) {
    const sum = (sums[kind] ??= { planned: 0, took: 0 })
    sum.planned += planned
    sum.took += took
  }
  return sums
}
