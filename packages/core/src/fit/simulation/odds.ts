import { verdicts, type Verdict } from '../verdict.js'

/** What an ease is judged by, in millimetres. */
export interface EaseLimits {
  readonly giveMm: number
  readonly snugMm: number
  readonly easyMm: number
  readonly roomyMm: number
  readonly topMm: number
}

/** The share of makes that came to each verdict; those that never came are left out. Of no makes, empty. */
export function countVerdicts(
  easesMm: Float64Array,
  { giveMm, snugMm, easyMm, roomyMm, topMm }: EaseLimits,
): Readonly<Partial<Record<Verdict, number>>> {
  const counts = new Uint32Array(verdicts.length)
  const edges = [-giveMm, 0, snugMm, easyMm, roomyMm]
  for (let index = 0; index < easesMm.length; index += 1) {
    const ease = easesMm[index] ?? 0
    let verdict = 0
    while (verdict < edges.length && ease >= (edges[verdict] ?? 0)) verdict += 1
    if (ease > topMm) verdict = edges.length + 1
    counts[verdict] = (counts[verdict] ?? 0) + 1
  }
  return Object.fromEntries(
    verdicts.flatMap((verdict, index) => {
      const count = counts[index] ?? 0
      return count > 0 ? [[verdict, count / easesMm.length]] : []
    }),
  )
}

/** 1 for each make that lies within one of the stretches, both ends included, 0 for the others. */
export function markWithin(
  valuesMm: Float64Array,
  stretches: readonly { readonly fromMm: number; readonly toMm: number }[],
): Uint8Array {
  const marks = new Uint8Array(valuesMm.length)
  for (const { fromMm, toMm } of stretches)
    for (let index = 0; index < valuesMm.length; index += 1) {
      const value = valuesMm[index] ?? 0
      if (value >= fromMm && value <= toMm) marks[index] = 1
    }
  return marks
}

/** The share of marks that are set; of none, 0. */
export function shareOf(marks: Uint8Array): number {
  let count = 0
  for (let index = 0; index < marks.length; index += 1) count += marks[index] ?? 0
  return marks.length === 0 ? 0 : count / marks.length
}

export interface Histogram {
  readonly fromMm: number
  readonly stepMm: number
  /** One count for each step: from its lower bound, included, to its upper. They add up to the makes. */
  readonly counts: readonly number[]
}

const mostSteps = 60

/** Steps that the bands' bounds, whole millimetres all, fall between. */
const steps = [0.25, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500]

/** How the values spread, in at most sixty even steps. */
export function countHistogram(valuesMm: Float64Array): Histogram {
  const [least, most] = rangeOf(valuesMm)
  const stepMm = steps.find(step => (most - least) / step < mostSteps - 1) ?? (most - least) / (mostSteps - 1)
  const first = Math.floor(least / stepMm)
  const counts = new Uint32Array(Math.floor(most / stepMm) - first + 1)
  for (let index = 0; index < valuesMm.length; index += 1) {
    const step = Math.floor((valuesMm[index] ?? 0) / stepMm) - first
    counts[step] = (counts[step] ?? 0) + 1
  }
  return { fromMm: first * stepMm, stepMm, counts: [...counts] }
}

function rangeOf(valuesMm: Float64Array): readonly [number, number] {
  let least = Infinity
  let most = -Infinity
  for (let index = 0; index < valuesMm.length; index += 1) {
    const value = valuesMm[index] ?? 0
    if (value < least) least = value
    if (value > most) most = value
  }
  return valuesMm.length === 0 ? [0, 0] : [least, most]
}
