import type { Errand } from '@snowdrift/core'
import type { Repositories } from '../db/repositories/repositories.js'
import type { ExportWriter } from '../exports/export-writer.js'
import type { Log } from '../log.js'

export interface ErrandTools {
  readonly repositories: Repositories
  /** As they were a moment ago, for reads to which that does no harm. */
  readonly aged: Repositories
  readonly write: ExportWriter
  readonly now: () => Date
  readonly log: Log
}

/** What every errand is done with. */
export interface ErrandHand extends ErrandTools {
  readonly workshop: string
  /** Where it writes its file. */
  readonly path: string
  /** Says how far it is; throws where it was called off, or the process ends. */
  readonly tell: (part: number) => Promise<void>
}

/** What an errand wrote to its path. */
export type WrittenFile = Omit<NonNullable<Errand['file']>, 'bytes'>

/** Why an errand cannot be done, in a sentence for whoever asked. */
export class Refused extends Error {}
