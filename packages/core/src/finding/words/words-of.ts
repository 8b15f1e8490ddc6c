import type { Saying } from '../say.js'

export interface FindingText {
  /** What was expected and what came. */
  readonly message: string
  /** What to do. */
  readonly hint: string
}

/** The words of each finding of a group. */
export type WordsOf<Group> = {
  readonly [Code in keyof Group]: (data: Group[Code], say: Saying) => FindingText
}
