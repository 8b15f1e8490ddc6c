import type { Stays } from './people/stays.js'

/** What repositories are given from outside, so that tests can say the time. */
export interface RepositoryTools {
  readonly now: () => Date
  readonly newId: () => string
  /** How long people stay signed in; as usual unless said. */
  readonly stays?: Stays
}
