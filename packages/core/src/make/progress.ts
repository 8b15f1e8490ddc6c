import type { Schools } from './hands.js'
import type { Step } from './step.js'

/** What was said of a step, and when: the latest word counts. */
export interface StepMark {
  readonly at: string
  readonly state: 'done' | 'open'
  /** How its check was answered: yes, or no and mended. */
  readonly answer?: 'yes' | 'mended'
}

/** A wait that runs: it rings at its end, unless somebody heard it. */
export interface RunningWait {
  readonly at: string
  readonly endsAt: string
  readonly heard?: true
}

/** A size that was taken off the work, as it was typed. */
export interface MadeSize {
  readonly at: string
  /** Empty where it was taken back. */
  readonly typed: string
}

/** How far a cover has come at the table. Each entry says when it was made, so that two devices never lose either’s. */
export interface Progress {
  readonly steps: Readonly<Record<string, StepMark>>
  readonly waits: Readonly<Record<string, RunningWait>>
  /** By what was measured: “piece/outer/width”. */
  readonly made: Readonly<Record<string, MadeSize>>
  readonly schools: Readonly<Partial<Record<keyof Schools, { readonly at: string; readonly value: string }>>>
  /** When a step that was not done last came up at the table: what it takes is counted from then. */
  readonly shown?: Readonly<Record<string, { readonly at: string }>>
}

export const noProgress: Progress = { steps: {}, waits: {}, made: {}, schools: {} }

/** Both devices’ progress together: of each entry the later word; in any order the same, and twice as once. */
export function mergeProgress(one: Progress, other: Progress): Progress {
  return {
    steps: later(one.steps, other.steps),
    waits: later(one.waits, other.waits),
    made: later(one.made, other.made),
    schools: later(one.schools as Timed, other.schools as Timed),
    ...((one.shown ?? other.shown) && { shown: later(one.shown ?? {}, other.shown ?? {}) }),
  }
}

type Timed = Readonly<Record<string, { readonly at: string }>>

function later<Entries extends Timed>(one: Entries, other: Entries): Entries {
  const entries = Object.entries(other).filter(([key, entry]) => {
    const known = one[key]
    // of two words of one moment, the one that sorts last: it does not matter which, as long as all agree
    return known === undefined || compare(entry, known) > 0
  })
  return entries.length === 0 ? one : { ...one, ...Object.fromEntries(entries) }
}

function compare(one: { readonly at: string }, other: { readonly at: string }): number {
  const [first, second] = [one, other].map(entry => entry.at + JSON.stringify(entry))
  return (first ?? '') < (second ?? '') ? -1 : first === second ? 0 : 1
}

export function isDone({ steps }: Pick<Progress, 'steps'>, id: string): boolean {
  return steps[id]?.state === 'done'
}

/** The progress with a step done, its wait running from now; or open again. `at` is an ISO time. */
export function markStep(progress: Progress, step: Pick<Step, 'id' | 'wait'>, mark: StepMark): Progress {
  const { id, wait } = step
  const steps = { ...progress.steps, [id]: mark }
  if (mark.state === 'open') {
    const running = progress.waits[id]
    const waits = running
      ? { ...progress.waits, [id]: { ...running, at: mark.at, heard: true as const } }
      : progress.waits
    return { ...progress, steps, waits }
  }
  if (wait === undefined) return { ...progress, steps }
  const endsAt = new Date(Date.parse(mark.at) + wait * 60_000).toISOString()
  return { ...progress, steps, waits: { ...progress.waits, [id]: { at: mark.at, endsAt } } }
}

/** What must come first and is not done yet; none where the step is due. */
export function missingBefore(
  progress: Progress,
  step: Pick<Step, 'needs'>,
  steps: readonly Step[],
): readonly Step[] {
  return steps.filter(({ id }) => step.needs.includes(id) && !isDone(progress, id))
}

/** The first step that is not done and has nothing before it. */
export function nextStep(progress: Progress, steps: readonly Step[]): Step | undefined {
  const open = steps.filter(({ id }) => !isDone(progress, id))
  return open.find(step => missingBefore(progress, step, steps).length === 0) ?? open[0]
}

/** Steps that were done and that the cover as it is now does not have any more. */
export function noLongerThere(progress: Progress, steps: readonly Step[]): readonly string[] {
  return Object.keys(progress.steps).filter(id => isDone(progress, id) && !steps.some(step => step.id === id))
}
