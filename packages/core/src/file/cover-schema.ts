import { z } from 'zod'
import { cuttingGrids, defaultGrid } from '../length/grid.js'
import { mm } from '../length/length.js'
import { parseLength } from '../length/parse.js'
import { units, type Unit } from '../length/unit.js'
import { layerSchema } from './layer-schema.js'
import { lengthInput, typedLength } from '../length/length-input.js'
import { objectSchema } from './object-schema.js'
import { whatIfIds } from '../what-if/what-if.js'
import { trialSchema } from './trial-schema.js'
import { sizingSchema } from './sizing-schema.js'

export const coverFormat = 'snowdrift/cover'
export const coverVersion = 1
const mostObjects = 60
const mostExtras = 40

/** The cover file with its lengths read in `unit`. Options are checked by their family, extras by their type. */
export function coverSchema(unit: Unit) {
  const made = schemas.get(unit) ?? createSchema(unit)
  schemas.set(unit, made)
  return made
}

const schemas = new Map<Unit, ReturnType<typeof createSchema>>()

function createSchema(unit: Unit) {
  return z.strictObject({
    format: z.literal(coverFormat),
    version: z.literal(coverVersion),
    name: z.string().max(120).default(''),
    unit: z.enum(units).default('in'),
    grid: gridSchema(unit).default(defaultGrid(unit)),
    object: objectSchema(unit).optional(),
    objects: z.array(objectSchema(unit)).min(1).max(mostObjects).optional(),
    family: z.string().max(60),
    seam: lengthInput(unit, { min: mm(1), max: mm(50) }).optional(),
    sizing: sizingSchema(unit).default({ mode: 'computed' }),
    options: z.record(z.string(), z.unknown()).default({}),
    layers: z.array(layerSchema(unit)).max(10),
    extras: z
      .array(z.looseObject({ type: z.string().max(60) }))
      .max(mostExtras)
      .default([]),
    trial: trialSchema(unit).optional(),
    whatIf: z.array(z.enum(whatIfIds)).max(whatIfIds.length).optional(),
  })
}

/** A cutting grid as typed: one of those that are made. */
export function gridSchema(unit: Unit) {
  return typedLength.transform((typed, context) => {
    const parsed = parseLength(String(typed), unit)
    const grid = parsed.ok && cuttingGrids.find(step => step === parsed.length)
    if (grid) return grid
    const message = `“${String(typed)}” is not a cutting grid. Use 1/16, 1/8 or 1/4 in, 1, 2 or 5 mm.`
    context.issues.push({ code: 'custom', message, input: typed })
    return z.NEVER
  })
}

/** A cover file as it is written, typed lengths and all. */
export type CoverFile = z.input<ReturnType<typeof coverSchema>>
export type TypedReading = NonNullable<
  NonNullable<NonNullable<CoverFile['object']>['readings']>['height']
>[number]
export type TypedObject = NonNullable<CoverFile['object']>
export type TypedLayer = CoverFile['layers'][number]
export type TypedSizing = NonNullable<CoverFile['sizing']>
export type TypedTrial = NonNullable<CoverFile['trial']>
export type TypedExtra = NonNullable<CoverFile['extras']>[number]
