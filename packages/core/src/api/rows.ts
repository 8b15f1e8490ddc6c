import { z } from 'zod'
import type { CoverFile, TypedObject } from '../file/cover-schema.js'
import { materialShape } from '../file/layer-schema.js'
import { objectSchema } from '../file/object-schema.js'
import type { TypedMaterial } from '../file/typical-materials.js'
import { inPresentWords } from '../file/upgrades.js'
import { readUnfinished } from '../file/unfinished.js'
import { units, type Unit } from '../length/unit.js'
import { asTyped } from './as-typed.js'
import {
  anyUnit,
  bodyReader,
  issuesAt,
  ourColumn,
  ownUnit,
  rowSchema,
  typedColumn,
  type BodyOf,
  type RowOf,
} from './columns.js'
import { onceFor } from './once-for.js'
import { stockSchema, type Stock } from './stash.js'

/** A measured thing on the shelf. Its bare readings are in `unit`. */
export const thingColumns = {
  name: typedColumn('text', z.string(), () => z.string().trim().min(1).max(120)),
  unit: typedColumn('text', z.enum(units)),
  object: typedColumn('json', z.custom<TypedObject>(isRecord), unit => asTyped(objectSchema(unit))),
}
export const thingRow = rowSchema(thingColumns)
export type ThingRow = RowOf<typeof thingColumns>
export type ThingBody = BodyOf<typeof thingColumns>

/** Reads a thing as the browser sends it. What it says is kept as typed once it has been found readable. */
export const readThingBody = bodyReader(thingColumns, ownUnit)

/** A cover file that may still be worked on: readings may be missing or stand as nobody can read them. */
const draftOfCover = z
  .unknown()
  .superRefine((file, context) => {
    issuesAt(context, readUnfinished(file).faults)
  })
  .transform(presentFile)

/** What an older Snowdrift sends goes on in the words of now. */
function presentFile(file: unknown): CoverFile {
  return inPresentWords(file) as CoverFile
}

/** A cover: its whole file, and the thing it was begun for, if that is still on the shelf. */
export const coverColumns = {
  thingId: typedColumn('uuid', z.uuid().nullable(), () => z.uuid().nullable().default(null)),
  file: typedColumn('json', z.custom<CoverFile>(isRecord), () => draftOfCover),
}
export const coverRow = rowSchema(coverColumns)
export type CoverRow = RowOf<typeof coverColumns>
export type CoverBody = BodyOf<typeof coverColumns>

/** Reads a cover as the browser sends it: a draft will do. */
export const readCoverBody = bodyReader(coverColumns, anyUnit)

const materialSchema = onceFor((unit: Unit) => z.strictObject(materialShape(unit)))

/** A material of the workshop. Its bare lengths are in `unit`. */
export const materialColumns = {
  unit: typedColumn('text', z.enum(units)),
  swatch: typedColumn('text', z.string(), () =>
    z.string().regex(/^#[0-9a-f]{6}$/i, 'A swatch is a colour such as #8fa3b0.'),
  ),
  material: typedColumn('json', z.custom<TypedMaterial>(isRecord), unit => asTyped(materialSchema(unit))),
  /** What the stash knows beside its properties. */
  stock: typedColumn('json', z.custom<Stock>(isRecord), unit => asTyped(stockSchema(unit)).default({})),
  /** Counts up with each new picture; 0 for none. */
  picture: ourColumn('count', z.int().min(0)),
}
export const materialRow = rowSchema(materialColumns)
export type MaterialRow = RowOf<typeof materialColumns>
export type MaterialBody = BodyOf<typeof materialColumns>

export const readMaterialBody = bodyReader(materialColumns, ownUnit)

/** One page of a list, newest change first; `next` is the cursor of the page behind it, null on the last. */
export interface Page<Row> {
  readonly items: readonly Row[]
  readonly next: string | null
}

function isRecord(value: unknown): boolean {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
