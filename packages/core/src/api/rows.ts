import { z } from 'zod'
import { units } from '../length/unit.js'
import type { CoverFile, TypedObject } from '../file/cover-schema.js'
import type { Stock } from './stash.js'
import type { TypedMaterial } from '../file/typical-materials.js'

const stored = {
  id: z.uuid(),
  version: z.int().min(1),
  updatedAt: z.iso.datetime(),
}

/** A measured thing on the shelf. Its bare readings are in `unit`. */
export const thingRow = z.strictObject({
  ...stored,
  name: z.string(),
  unit: z.enum(units),
  object: z.custom<TypedObject>(isRecord),
})
export type ThingRow = z.infer<typeof thingRow>

/** A cover: its whole file, and the thing it was begun for, if that is still on the shelf. */
export const coverRow = z.strictObject({
  ...stored,
  thingId: z.uuid().nullable(),
  file: z.custom<CoverFile>(isRecord),
})
export type CoverRow = z.infer<typeof coverRow>

/** A material of the workshop. Its bare lengths are in `unit`. */
export const materialRow = z.strictObject({
  ...stored,
  unit: z.enum(units),
  swatch: z.string(),
  material: z.custom<TypedMaterial>(isRecord),
  stock: z.custom<Stock>(isRecord),
  /** Counts up with each new picture; 0 for none. */
  picture: z.int().min(0),
})
export type MaterialRow = z.infer<typeof materialRow>

export const settingsRow = z.strictObject({
  version: z.int().min(1),
  unit: z.enum(units),
  grid: z.string().nullable(),
  tapeDivision: z.string().nullable(),
  seam: z.string().nullable(),
  /** What prices are in, as the maker writes it; empty where nobody said. */
  currency: z.string(),
})
export type SettingsRow = z.infer<typeof settingsRow>

/** One page of a list, newest change first; `next` is the cursor of the page behind it, null on the last. */
export interface Page<Row> {
  readonly items: readonly Row[]
  readonly next: string | null
}

function isRecord(value: unknown): boolean {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
