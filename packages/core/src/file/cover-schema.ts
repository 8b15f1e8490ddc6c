import { z } from 'zod'
import { cuttingGrids, defaultGrid } from '../length/grid.js'
import { parseLength } from '../length/parse.js'
import { units, type Unit } from '../length/unit.js'
import { clothSchema, layerSchema } from './layer-schema.js'
import { lengthInput, typedLength } from '../length/length-input.js'
import { objectSchema } from './object-schema.js'
import { whatIfIds } from '../what-if/what-if.js'
import { handSchema } from './hand-schema.js'
import { oldCoverSchema } from './old-cover-schema.js'
import { trialSchema } from './trial-schema.js'
import { ownRecipeSchema, seamRange, sizingSchema } from './sizing-schema.js'

export const coverFormat = 'snowdrift/cover'
export const coverVersion = 2
const mostObjects = 60
const mostExtras = 40
const mostCloths = 24
const mostNamedPieces = 60

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
    upgradedFrom: z.literal(1).optional(),
    name: z.string().max(120).default(''),
    note: noteSchema.optional(),
    unit: z.enum(units).default('in'),
    grid: gridSchema(unit).default(defaultGrid(unit)),
    object: objectSchema(unit).optional(),
    objects: z.array(objectSchema(unit)).min(1).max(mostObjects).optional(),
    family: z.string().max(60),
    seam: lengthInput(unit, seamRange).optional(),
    sizing: sizingSchema(unit).default({ mode: 'computed' }),
    options: z.record(z.string(), z.unknown()).default({}),
    layers: z.array(layerSchema(unit)).max(10),
    cloths: z.array(clothSchema(unit)).max(mostCloths).default([]),
    cutFrom: byPiece(z.string().max(120)).default({}),
    pieced: z.array(pieceId).max(mostNamedPieces).default([]),
    pieceNotes: byPiece(noteSchema).optional(),
    extras: z
      .array(z.looseObject({ type: z.string().max(60) }))
      .max(mostExtras)
      .default([]),
    trial: trialSchema(unit).optional(),
    oldCover: oldCoverSchema(unit).optional(),
    hand: handSchema(unit).optional(),
    whatIf: z.array(z.enum(whatIfIds)).max(whatIfIds.length).optional(),
  })
}

const noteSchema = z.string().max(4000)
const pieceId = z.string().min(1).max(60)

/** Something said of single pieces, by their ids. */
function byPiece<Value extends z.ZodType>(value: Value) {
  return z.record(pieceId, value).refine(said => Object.keys(said).length <= mostNamedPieces, {
    message: `Expected at most ${mostNamedPieces} pieces.`,
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
export type TypedCloth = NonNullable<CoverFile['cloths']>[number]
export type TypedSizing = NonNullable<CoverFile['sizing']>
export type TypedRecipe = z.input<ReturnType<typeof ownRecipeSchema>>
export type TypedTrial = NonNullable<CoverFile['trial']>
export type TypedHand = NonNullable<CoverFile['hand']>
export type TypedExtra = NonNullable<CoverFile['extras']>[number]
