import { z } from 'zod'
import { typedLength } from '../length/length-input.js'
import { anyUnit, bodyReader, rowSchema, typedColumn, type RowOf } from './columns.js'

/** How one material of a cutting is laid out: from which row of the stash, from which of its pieces, what is pinned. */
const sourceSchema = z.strictObject({
  materialId: z.uuid().nullable().default(null),
  /** The pieces of the stash that may be used; null for all that are free. */
  pieces: z.array(z.uuid()).max(200).nullable().default(null),
  /** Whether more may be bought. */
  buy: z.boolean().default(true),
  /** The width of cloth to buy. */
  width: typedLength.nullable().default(null),
  /** The size of sheet to buy, by its id; null for the smallest that will do. */
  sheet: z.string().max(40).nullable().default(null),
})
export type CuttingSource = z.infer<typeof sourceSchema>

const pinSchema = z.strictObject({
  group: z.string().max(200),
  piece: z.string().max(200),
  cloth: z.string().max(100),
  /** Which of several sheets alike, from 1. */
  sheet: z.int().min(1).max(500).default(1),
  /** Millimetres from the left selvedge and the beginning of the cloth. */
  xMm: z.number().min(0).max(100_000),
  yMm: z.number().min(0).max(100_000),
  turned: z.boolean(),
})
export type CuttingPin = z.infer<typeof pinSchema>

/** Two pieces of a group that lie side by side on the cover: the print is to run on from one to the other. */
const matchSchema = z.strictObject({
  group: z.string().max(200),
  one: z.string().max(200),
  other: z.string().max(200),
})
export type CuttingMatch = z.infer<typeof matchSchema>

const bodySchema = z.strictObject({
  coverIds: z.array(z.uuid()).min(1).max(12),
  cuts: z.enum(['scissors', 'rotary']).default('scissors'),
  sources: z.record(z.string().max(200), sourceSchema).default({}),
  pins: z.array(pinSchema).max(200).default([]),
  matches: z.array(matchSchema).max(50).optional(),
  /** The groups that have been cut. */
  done: z.array(z.string().max(200)).max(100).default([]),
})

/** How one cover, or several together, are laid out and cut. */
export type CuttingBody = z.infer<typeof bodySchema>

export const cuttingColumns = { plan: typedColumn('json', bodySchema) }
export const cuttingRow = rowSchema(cuttingColumns)
export type CuttingRow = RowOf<typeof cuttingColumns>

/** Reads a cutting as the browser sends it: `{ plan }`. */
export const readCuttingBody = bodyReader(cuttingColumns, anyUnit)
