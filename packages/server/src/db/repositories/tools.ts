/** What repositories are given from outside, so that tests can say the time. */
export interface RepositoryTools {
  readonly now: () => Date
  readonly newId: () => string
}
