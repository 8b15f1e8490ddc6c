import { z } from 'zod'
import type { Progress } from '../make/progress.js'
import { anyUnit, bodyReader, rowSchema, typedColumn, type BodyOf, type RowOf } from './columns.js'

const at = z.iso.datetime()
const most = 500

function entries<Entry extends z.ZodType>(entry: Entry) {
  return z
    .record(z.string().regex(/^[a-z0-9][a-z0-9/-]{0,120}$/), entry)
    .refine(record => Object.keys(record).length <= most, `There are more than ${most} entries.`)
}

const progressSchema = z.strictObject({
  steps: entries(
    z.strictObject({ at, state: z.enum(['done', 'open']), answer: z.enum(['yes', 'mended']).optional() }),
  ),
  waits: entries(z.strictObject({ at, endsAt: at, heard: z.literal(true).optional() })),
  made: entries(z.strictObject({ at, typed: z.string().max(40) })),
  shown: entries(z.strictObject({ at })).optional(),
  schools: z.strictObject({
    fuse: z.strictObject({ at, value: z.enum(['before', 'after']) }).optional(),
    close: z.strictObject({ at, value: z.enum(['machine', 'hand']) }).optional(),
    hold: z.strictObject({ at, value: z.enum(['baste', 'clip']) }).optional(),
  }),
})

/** How far a cover has come at the table. The row goes by the id of its cover. */
export const makingColumns = {
  progress: typedColumn(
    'json',
    z.custom<Progress>(value => typeof value === 'object' && value !== null),
    () => progressSchema as unknown as z.ZodType<Progress>,
  ),
}
export const makingRow = rowSchema(makingColumns)
export type MakingRow = RowOf<typeof makingColumns>
export type MakingBody = BodyOf<typeof makingColumns>

export const readMakingBody = bodyReader(makingColumns, anyUnit)
