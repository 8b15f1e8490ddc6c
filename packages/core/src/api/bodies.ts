import { z } from 'zod'
import { coverSchema, type CoverFile, type TypedObject } from '../file/cover-schema.js'
import type { Issue } from '../file/issue.js'
import { materialShape } from '../file/layer-schema.js'
import { lengthInput } from '../length/length-input.js'
import { objectSchema } from '../file/object-schema.js'
import type { ReadResult } from '../file/read-cover.js'
import { readUnfinished } from '../file/unfinished.js'
import { describeSchemaIssues } from '../file/schema-issues.js'
import { mm } from '../length/length.js'
import { units, type Unit } from '../length/unit.js'
import type { TypedMaterial } from '../file/typical-materials.js'
import type { SettingsRow } from './rows.js'
import { onceFor } from './once-for.js'
import { stockSchema, type Stock } from './stash.js'

export interface ThingBody {
  readonly name: string
  readonly unit: Unit
  readonly object: TypedObject
}

export interface CoverBody {
  readonly thingId: string | null
  readonly file: CoverFile
}

export interface MaterialBody {
  readonly unit: Unit
  readonly swatch: string
  readonly material: TypedMaterial
  /** What the stash knows beside its properties. */
  readonly stock?: Stock
}

export type SettingsBody = Omit<SettingsRow, 'version'>

const unit = z.enum(units)
const thingShape = z.strictObject({ name: z.string().trim().min(1).max(120), unit, object: z.unknown() })
const coverShape = z.strictObject({ thingId: z.uuid().nullable().default(null), file: z.unknown() })
const materialBodyShape = z.strictObject({
  unit,
  swatch: z.string().regex(/^#[0-9a-f]{6}$/i, 'A swatch is a colour such as #8fa3b0.'),
  material: z.unknown(),
  stock: z.unknown().optional(),
})

const materialSchema = onceFor((unit: Unit) => z.strictObject(materialShape(unit)))

/** Reads a thing as the browser sends it. What it says is kept as typed once it has been found readable. */
export function readThingBody(input: unknown): ReadResult<ThingBody> {
  const shape = check(thingShape, input)
  if (!shape.ok) return shape
  const object = check(objectSchema(shape.value.unit), shape.value.object, 'object')
  if (!object.ok) return object
  return { ok: true, value: { ...shape.value, object: shape.value.object as TypedObject } }
}

/** Reads a cover as the browser sends it: a draft will do, readings may be missing or stand as nobody can read them. */
export function readCoverBody(input: unknown): ReadResult<CoverBody> {
  const shape = check(coverShape, input)
  if (!shape.ok) return shape
  const { faults } = readUnfinished(shape.value.file)
  if (faults.length > 0) return { ok: false, issues: faults.map(issue => under('file', issue)) }
  return { ok: true, value: { ...shape.value, file: shape.value.file as CoverFile } }
}

export function readMaterialBody(input: unknown): ReadResult<MaterialBody> {
  const shape = check(materialBodyShape, input)
  if (!shape.ok) return shape
  const material = check(materialSchema(shape.value.unit), shape.value.material, 'material')
  if (!material.ok) return material
  const { stock = {} } = shape.value
  const read = check(stockSchema(shape.value.unit), stock, 'stock')
  if (!read.ok) return read
  return {
    ok: true,
    value: { ...shape.value, material: shape.value.material as TypedMaterial, stock: stock as Stock },
  }
}

export function readSettingsBody(input: unknown): ReadResult<SettingsBody> {
  const unitOnly = check(z.looseObject({ unit }), input)
  if (!unitOnly.ok) return unitOnly
  const read = check(settingsSchema(unitOnly.value.unit), input)
  if (!read.ok) return read
  const { currency } = read.value
  return { ok: true, value: { ...(input as SettingsBody), currency } }
}

function settingsSchema(unitInForce: Unit) {
  const { grid, seam } = coverSchema(unitInForce).shape
  const division = lengthInput(unitInForce, { min: mm(0.1), max: mm(10) })
  return z.strictObject({
    unit,
    grid: grid.nullable(),
    seam: seam.nullable(),
    tapeDivision: division.nullable(),
    currency: z.string().max(8).default(''),
  })
}

function check<Value>(schema: z.ZodType<Value>, input: unknown, path = ''): ReadResult<Value> {
  const parsed = schema.safeParse(input)
  if (parsed.success) return { ok: true, value: parsed.data }
  const issues = describeSchemaIssues(parsed.error, input)
  return { ok: false, issues: path ? issues.map(issue => under(path, issue)) : issues }
}

function under(parent: string, { path, message }: Issue): Issue {
  return { path: path ? `${parent}.${path}` : parent, message }
}
