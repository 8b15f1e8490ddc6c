import { z } from 'zod'
import { anyUnit, bodyReader, rowSchema, typedColumn, type BodyOf, type RowOf } from './columns.js'

const markSchema = z.strictObject({
  /** The day by whose end it is wanted. */
  due: z.iso.date().nullable().default(null),
  copies: z.int().min(1).max(100).default(1),
  /** Whether it is taken into the plan of time. */
  planned: z.boolean().default(false),
  archived: z.boolean().default(false),
  /** Steps that were put off, by their ids: not before this moment of the maker’s own clock. */
  notBefore: z
    .record(z.string().max(120), z.string().regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/))
    .refine(steps => Object.keys(steps).length <= 500, 'There are more than 500 steps.')
    .default({}),
  /** Made and in use. */
  worn: z.boolean().default(false),
})
export type ShelfMark = z.output<typeof markSchema>

export const noMark: ShelfMark = {
  due: null,
  copies: 1,
  planned: false,
  archived: false,
  notBefore: {},
  worn: false,
}

/** What the shelf and the plan of time know of a cover. The row goes by the id of its cover. */
export const markColumns = {
  mark: typedColumn<ShelfMark>(
    'json',
    z.custom<ShelfMark>(value => typeof value === 'object' && value !== null),
    () => markSchema,
  ),
}
export const markRow = rowSchema(markColumns)
export type MarkRow = RowOf<typeof markColumns>
export type MarkBody = BodyOf<typeof markColumns>

export const readMarkBody = bodyReader(markColumns, anyUnit)

/** How far a cover has come, as the shelf tells them apart. */
export const coverStates = ['draft', 'cut', 'bench', 'made', 'worn'] as const
export type CoverState = (typeof coverStates)[number]

/** A cover as the shelf lists it; thousands of them at once. */
export const shelfEntry = z.strictObject({
  id: z.uuid(),
  version: z.int().min(1),
  updatedAt: z.iso.datetime(),
  name: z.string(),
  family: z.string(),
  kind: z.string(),
  thing: z.string().nullable(),
  thingId: z.uuid().nullable(),
  cloths: z.array(z.string()),
  state: z.enum(coverStates),
  due: z.string().nullable(),
  archived: z.boolean(),
  planned: z.boolean(),
  /** The cutting in which pieces of it are pinned. */
  pinned: z.uuid().nullable(),
})
export type ShelfEntry = z.infer<typeof shelfEntry>
