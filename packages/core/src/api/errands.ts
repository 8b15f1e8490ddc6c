import { z } from 'zod'
import { check, type ReadResult } from '../file/check.js'
import type { ArchiveTaken } from './archive.js'
import { paperNames } from './exports.js'

/** More covers than a maker has on hand, and what a server writes in a few minutes. */
export const mostSheets = 100

const errandRequest = z.discriminatedUnion('kind', [
  /** The workshop as a file, or a cover with its thing and what of the stash it is made of. */
  z.strictObject({ kind: z.literal('archive'), cover: z.uuid().optional() }),
  /** The project sheets of covers, in this order, as one PDF. */
  z.strictObject({
    kind: z.literal('sheets'),
    covers: z.array(z.uuid()).min(1).max(mostSheets),
    paper: z.enum(paperNames).default('a4'),
  }),
])
/** Heavy work that somebody has done, looks at now and then, and may call off. */
export type ErrandRequest = z.output<typeof errandRequest>

export function readErrandRequest(input: unknown): ReadResult<ErrandRequest> {
  return check(errandRequest as unknown as z.ZodType<ErrandRequest>, input)
}

/** How far an errand is; called off there is none. */
export interface Errand {
  readonly id: string
  readonly state: 'waiting' | 'running' | 'done' | 'failed'
  /** The share that is done, 0–1. */
  readonly part: number
  /** What was written, once it is done. */
  readonly file?: { readonly name: string; readonly type: string; readonly bytes: number }
  /** What came of an archive that was brought. */
  readonly archive?: ArchiveTaken
  /** Why it failed, in a sentence. */
  readonly why?: string
}
