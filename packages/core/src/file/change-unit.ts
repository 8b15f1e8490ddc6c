import { findExtra } from '../extras/registry.js'
import { listOptionFields } from '../families/option-fields.js'
import { findFamily } from '../families/registry.js'
import { parseLength } from '../length/parse.js'
import type { Unit } from '../length/unit.js'
import type { CoverFile, TypedObject, TypedRecipe, TypedSizing, TypedTrial } from './cover-schema.js'
import type { TypedLength } from '../length/length-input.js'

/**
 * The same cover in another unit: every bare number gets the unit it was meant in, so that no size changes its
 * meaning. The grid goes back to the usual one of the new unit.
 */
export function changeUnit(file: CoverFile, to: Unit): CoverFile {
  const from = file.unit ?? 'in'
  if (from === to) return file
  const said = (typed: TypedLength) => sayUnit(typed, from)
  const { grid: _grid, ...rest } = file
  return {
    ...rest,
    unit: to,
    ...(file.object && { object: sayObjectUnit(file.object, from) }),
    ...(file.objects && { objects: file.objects.map(object => sayObjectUnit(object, from)) }),
    ...(file.seam !== undefined && { seam: said(file.seam) }),
    ...(file.sizing && { sizing: saySizingUnit(file.sizing, file.family, from, said) }),
    ...(file.options && { options: mapKeys(file.options, optionLengths(file.family, from), said) }),
    layers: file.layers.map(layer => mapKeys(layer, ['thickness', 'inset'], said)),
    ...(file.cloths && { cloths: file.cloths.map(cloth => mapKeys(cloth, ['thickness'], said)) }),
    ...(file.extras && {
      extras: file.extras.map(extra => mapKeys(extra, extraLengths(extra.type, from), said)),
    }),
    ...(file.trial && { trial: sayTrialUnit(file.trial, said) }),
    ...(file.oldCover && { oldCover: sayOldUnit(file.oldCover, said) }),
    ...(file.hand && { hand: mapKeys(file.hand, handLengths, typed => saySigned(typed, from)) }),
  }
}

/** A measured thing with the unit said in each of its bare readings. */
export function sayObjectUnit(object: TypedObject, unit: Unit): TypedObject {
  const said = (typed: TypedLength) => sayUnit(typed, unit)
  const readings = Object.entries(object.readings ?? {}).map(([key, list]) => [
    key,
    list?.map(entry => (typeof entry === 'object' ? { ...entry, value: said(entry.value) } : said(entry))),
  ])
  return {
    ...object,
    ...(object.tapeDivision !== undefined && { tapeDivision: said(object.tapeDivision) }),
    readings: Object.fromEntries(readings) as TypedObject['readings'],
  }
}

function sayTrialUnit(trial: TypedTrial, said: (typed: TypedLength) => TypedLength): TypedTrial {
  const { width, height } = trial
  const tried = (entry: NonNullable<TypedTrial['width']>) =>
    mapKeys(entry, ['finished', 'spare', 'short'], said)
  return { ...(width && { width: tried(width) }), ...(height && { height: tried(height) }) }
}

function sayOldUnit(
  { width, height }: NonNullable<CoverFile['oldCover']>,
  said: (typed: TypedLength) => TypedLength,
): NonNullable<CoverFile['oldCover']> {
  const size = (entry: NonNullable<typeof width>) => mapKeys(entry, ['finished', 'ease'], said)
  return { ...(width && { width: size(width) }), ...(height && { height: size(height) }) }
}

function saySizingUnit(
  sizing: TypedSizing,
  family: string,
  from: Unit,
  said: (typed: TypedLength) => TypedLength,
): TypedSizing {
  const recipe = 'recipe' in sizing && typeof sizing.recipe === 'object' ? sizing.recipe : undefined
  if (!recipe) return mapKeys(sizing, sizingLengths, said)
  return { mode: 'recipe', recipe: sayRecipeUnit(recipe, family, from) }
}

/** A maker’s own recipe with the unit said in each of its bare lengths. */
export function sayRecipeUnit(recipe: TypedRecipe, family: string, from: Unit): TypedRecipe {
  const said = (typed: TypedLength) => sayUnit(typed, from)
  return {
    ...mapKeys(recipe, [...sizingLengths, 'seam'], said),
    ...(recipe.options && { options: mapKeys(recipe.options, optionLengths(family, from), said) }),
  }
}

const handLengths = ['seamBias', 'cutBias', 'seamScatter', 'cutScatter']

/** How a hand errs may be less than nothing. */
function saySigned(typed: TypedLength, unit: Unit): TypedLength {
  const [, minus = '', size = ''] = /^\s*([-−]?)(.*)$/s.exec(String(typed)) ?? []
  return minus === '' ? sayUnit(typed, unit) : `${minus}${sayUnit(size, unit)}`
}

const sizingLengths = ['easeWidth', 'easeHeight', 'addWidth', 'addHeight', 'width', 'height']

function optionLengths(family: string, unit: Unit): readonly string[] {
  const schema = findFamily(family)?.options(unit)
  return schema ? lengthKeys(listOptionFields(schema)) : []
}

function extraLengths(type: string, unit: Unit): readonly string[] {
  const schema = findExtra(type)?.options(unit)
  return schema ? lengthKeys(listOptionFields(schema)) : []
}

function lengthKeys(fields: ReturnType<typeof listOptionFields>): readonly string[] {
  return fields.flatMap(([key, { field }]) => (field === 'length' ? [key] : []))
}

/** The same length with its unit said, where it was a bare number in `unit`. */
export function sayUnit(typed: TypedLength, unit: Unit): TypedLength {
  const text = String(typed)
  const [inInches, inMetric] = [parseLength(text, 'in'), parseLength(text, 'mm')]
  const bare = inInches.ok && inMetric.ok && inInches.length !== inMetric.length
  return bare ? `${text} ${unit}` : typed
}

function mapKeys<Value extends object>(
  value: Value,
  keys: readonly string[],
  change: (typed: TypedLength) => TypedLength,
): Value {
  const changed = Object.entries(value as Record<string, unknown>).map(([key, entry]): [string, unknown] => {
    const isLength = keys.includes(key) && (typeof entry === 'string' || typeof entry === 'number')
    return [key, isLength ? change(entry) : entry]
  })
  return Object.fromEntries(changed) as Value
}
