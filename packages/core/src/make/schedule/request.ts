import type { Step, StepKind, WorkPlace } from '../step.js'

/** A moment as minutes of the maker’s own clock since 1970 began. */
export type Moment = number

/** When the maker works. */
export interface WorkSession {
  readonly start: Moment
  readonly minutes: number
}

/** What of a step the plan of time needs. */
export type TimedStep = Pick<Step, 'id' | 'kind' | 'place' | 'minutes' | 'wait' | 'within' | 'needs'>

/** A cover to be made: its steps in one right order, how often, by when, and what of it is done. */
export interface WorkToDo {
  readonly cover: string
  readonly steps: readonly TimedStep[]
  readonly copies: number
  /** It is late when its last step ends after this. */
  readonly due?: Moment
  /** Steps that are over, and their waits with them; in every copy. */
  readonly done: ReadonlySet<string>
  /** Steps that were put off: they begin no sooner than this. */
  readonly notBefore?: Readonly<Record<string, Moment>>
}

/** What is to be placed into which sessions. */
export interface ScheduleRequest {
  readonly work: readonly WorkToDo[]
  /** In order of time, none over another. */
  readonly sessions: readonly WorkSession[]
  /** What the maker takes of the minutes planned, by operation; 1 where nothing is said. */
  readonly times: Readonly<Partial<Record<StepKind, number>>>
  /** First costs of places that are not as usual. */
  readonly setUp: Readonly<Partial<Record<WorkPlace, number>>>
  readonly seed: number
}
