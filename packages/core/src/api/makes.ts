import { z } from 'zod'
import { verdicts } from '../fit/verdict.js'
import { parseLength } from '../length/parse.js'
import { units } from '../length/unit.js'
import { stepKinds } from '../make/step.js'
import { anyUnit, bodyReader, rowSchema, typedColumn, type BodyOf, type RowOf } from './columns.js'

const short = z.string().max(120).default('')
const long = z.string().max(4000).default('')
const day = z.iso.date()
const millimetres = z.number().min(0).max(10_000)
const minutes = z.number().min(0).max(10_000)

function bothWays<Value extends z.ZodType>(value: Value) {
  return z.strictObject({ width: value.optional(), height: value.optional() }).default({})
}

/** What the plan said when it was made; numbers, so that a later reckoning changes nothing of the past. */
const planned = z
  .strictObject({
    cutMm: bothWays(millimetres),
    allowancesMm: bothWays(millimetres),
    edges: bothWays(z.int().min(0).max(10)),
    seams: bothWays(z.int().min(0).max(10)),
    easeMm: bothWays(z.number().min(-1000).max(1000)),
    chance: z.number().min(0).max(1).optional(),
    seam: short,
    layers: z.array(z.string().max(200)).max(20).default([]),
  })
  .prefault({})

/** A test scrap, as it was sewn before. */
const stitch = z
  .strictObject({
    stitch: short,
    length: short,
    width: short,
    tension: short,
    needle: short,
    thread: short,
    layers: short,
  })
  .prefault({})

const reminder = z.strictObject({
  id: z.uuid(),
  what: z.string().trim().min(1).max(200),
  due: day,
  done: day.nullable().default(null),
})

const logShape = z.strictObject({
  name: z.string().max(120),
  family: z.string().max(60),
  unit: z.enum(units),
  finished: day,
  planned,
  /** As typed, in `unit`; empty where it is as planned, or nobody measured. */
  cut: bothWays(z.string().max(40)),
  sewn: bothWays(z.string().max(40)),
  wentOn: bothWays(z.enum(verdicts)),
  /** Whether it fits; null where nobody said. */
  fit: z.boolean().nullable().default(null),
  times: z
    .array(
      z.strictObject({
        step: z.string().max(120),
        name: z.string().max(200),
        kind: z.enum(stepKinds),
        planned: minutes,
        took: minutes,
      }),
    )
    .max(200)
    .default([]),
  mends: z
    .array(
      z.strictObject({
        step: z.string().max(120),
        name: z.string().max(200),
        what: z.string().max(500).default(''),
        cost: z.enum(['cheap', 'costly', 'too-late']),
      }),
    )
    .max(100)
    .default([]),
  photos: z
    .array(z.strictObject({ id: z.uuid(), caption: z.string().max(200).default('') }))
    .max(24)
    .default([]),
  stitch,
  threading: long,
  template: z.strictObject({ place: short, version: short }).prefault({}),
  notes: long,
  cost: short,
  price: short,
  care: long,
  /** What should be otherwise next time, by the piece that it is about; empty for the whole. */
  regrets: z
    .array(z.strictObject({ piece: z.string().max(80), what: z.string().trim().min(1).max(500) }))
    .max(20)
    .default([]),
  reminders: z.array(reminder).max(20).default([]),
})

/** Everything that is remembered of one make. */
export type MakeLog = z.output<typeof logShape>

/** Sizes are read, where they are typed. */
const logSchema = logShape.superRefine(({ unit, cut, sewn }, context) => {
  for (const [list, sizes] of Object.entries({ cut, sewn }))
    for (const [direction, typed] of Object.entries(sizes)) {
      if (!typed || parseLength(typed, unit).ok) continue
      const message = `“${typed}” is no length. Type it as you say it: 15 3/4, or 40 cm.`
      context.addIssue({ code: 'custom', message, path: [list, direction] })
    }
})

/** One make in the log, and the cover that it is of; null where that was deleted. */
export const makeColumns = {
  coverId: typedColumn('uuid', z.uuid().nullable(), () => z.uuid().nullable().default(null)),
  log: typedColumn<MakeLog>(
    'json',
    z.custom<MakeLog>(value => typeof value === 'object' && value !== null),
    () => logSchema,
  ),
}
export const makeRow = rowSchema(makeColumns)
export type MakeRow = RowOf<typeof makeColumns>
export type MakeBody = BodyOf<typeof makeColumns>

export const readMakeBody = bodyReader(makeColumns, anyUnit)
