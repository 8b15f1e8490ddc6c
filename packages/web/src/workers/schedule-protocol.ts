import type { CoverFile, Hands, Moment, Schedule, Step, WorkSession } from '@snowdrift/core'

/** A cover that is to be made, as it stands. */
export interface CoverToMake {
  readonly id: string
  readonly file: CoverFile
  readonly copies: number
  readonly due?: Moment
  readonly done: readonly string[]
  readonly notBefore: Readonly<Record<string, Moment>>
}

/** The same work with something otherwise, to see what it would help. */
export interface Otherwise {
  readonly key: string
  readonly covers?: readonly CoverToMake[]
  readonly sessions?: readonly WorkSession[]
}

/** A later request replaces an earlier one. */
export interface ScheduleJob {
  readonly id: number
  readonly covers: readonly CoverToMake[]
  readonly sessions: readonly WorkSession[]
  readonly hands: Hands
  readonly seed: number
  readonly budgetMs: number
  /** Tried after that, each for a short while. */
  readonly otherwise: readonly Otherwise[]
}

export type StepsOfCover = Readonly<Record<string, Pick<Step, 'name' | 'place' | 'minutes'>>>

/** First the steps, then a plan at once and better ones as they are found, then what the others come to. */
export type ScheduleReply = { readonly id: number } & (
  | {
      readonly kind: 'steps'
      readonly steps: Readonly<Record<string, StepsOfCover>>
      /** Covers that cannot be planned yet: a reading is missing, or a piece comes out at nothing. */
      readonly notPlanned: readonly string[]
    }
  | { readonly kind: 'schedule'; readonly schedule: Schedule; readonly share: number }
  | { readonly kind: 'otherwise'; readonly key: string; readonly schedule: Schedule }
  | { readonly kind: 'done' }
)
