import type { Errand } from '@snowdrift/core'
import type { Repositories } from '../db/repositories/repositories.js'
import type { ExportWriter } from '../exports/export-writer.js'
import type { Log } from '../log.js'
import type { PictureShrinker } from '../pictures/shrinker.js'

export interface ErrandTools {
  readonly repositories: Repositories
  /** As they were a moment ago, for reads to which that does no harm. */
  readonly aged: Repositories
  readonly write: ExportWriter
  readonly shrinker: PictureShrinker
  readonly now: () => Date
  readonly log: Log
}

/** What is brought and what is written is kept in parts of at most so much. */
export const errandPartBytes = 1024 * 1024

/** What every errand is done with. */
export interface ErrandHand extends ErrandTools {
  readonly workshop: string
  /** Where it writes its file, or that which was brought. */
  readonly path: string
  /** Says how far it is; throws where it was called off, or the process ends. */
  readonly tell: (part: number) => Promise<void>
}

/** What an errand wrote to its path. */
export type WrittenFile = Omit<NonNullable<Errand['file']>, 'bytes'>

/** Nobody wants it any more, or another does it. */
export class CalledOff extends Error {}

/** Why an errand cannot be done, in a sentence for whoever asked. */
export class Refused extends Error {}
