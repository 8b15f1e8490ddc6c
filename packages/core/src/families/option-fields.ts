import { z } from 'zod'
import { lengthInput, type LengthRange } from '../length/length-input.js'
import { toMm, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'

interface Words {
  readonly label: string
  readonly help: string
}

/** What a form needs to know of an option beside its schema; carried as the field's `meta`. */
export type OptionField = Words &
  (
    | {
        readonly field: 'length'
        readonly minMm: number
        readonly maxMm: number
        /** What makers usually take; outside it the plan says so. */
        readonly usualMm?: readonly [number, number]
        /** Named values that stand instead of a length. */
        readonly named?: Readonly<Record<string, string>>
      }
    | { readonly field: 'choice'; readonly choices: Readonly<Record<string, string>> }
    | { readonly field: 'yes-no' }
    | { readonly field: 'count'; readonly min: number; readonly max: number }
    | { readonly field: 'text'; readonly maxLength: number }
  )

interface Usual {
  readonly usual?: readonly [Length, Length]
}

/** An optional length among a family's or an extra's options. `usual` is what is known to work. */
export function lengthOption(unit: Unit, range: LengthRange & Usual, words: Words) {
  return lengthInput(unit, range).optional().meta(lengthField(range, words))
}

/** An optional length, or one of several named ways to find it. */
export function namedLengthOption<const Name extends string>(
  unit: Unit,
  range: LengthRange & Usual,
  named: Readonly<Record<Name, string>>,
  words: Words,
) {
  const names = Object.keys(named) as [Name, ...Name[]]
  return z
    .union([z.enum(names), lengthInput(unit, range)])
    .optional()
    .meta({ ...lengthField(range, words), named })
}

/** An optional choice among named values, each with its words. */
export function choiceOption<const Value extends string>(
  choices: Readonly<Record<Value, string>>,
  words: Words,
) {
  const values = Object.keys(choices) as [Value, ...Value[]]
  return z
    .enum(values)
    .optional()
    .meta({ ...words, field: 'choice', choices } satisfies OptionField)
}

export function yesNoOption(words: Words) {
  return z
    .boolean()
    .optional()
    .meta({ ...words, field: 'yes-no' } satisfies OptionField)
}

/** An optional whole number, both ends included. */
export function countOption({ min, max }: { readonly min: number; readonly max: number }, words: Words) {
  return z
    .int()
    .min(min)
    .max(max)
    .optional()
    .meta({ ...words, field: 'count', min, max } satisfies OptionField)
}

export function textOption(maxLength: number, words: Words) {
  return z
    .string()
    .max(maxLength)
    .optional()
    .meta({ ...words, field: 'text', maxLength } satisfies OptionField)
}

type Fields = readonly (readonly [string, OptionField])[]

const listed = new WeakMap<z.ZodObject<z.ZodRawShape>, Fields>()

/** The fields of an options schema in their order, for a form. */
export function listOptionFields(schema: z.ZodObject<z.ZodRawShape>): Fields {
  const known = listed.get(schema) ?? readFields(schema)
  listed.set(schema, known)
  return known
}

function readFields(schema: z.ZodObject<z.ZodRawShape>): Fields {
  return Object.entries(schema.shape).flatMap(([key, field]) => {
    const meta = (field as z.ZodType).meta() as OptionField | undefined
    return meta ? [[key, meta] as const] : []
  })
}

function lengthField({ min, max, usual }: LengthRange & Usual, words: Words) {
  return {
    ...words,
    field: 'length',
    minMm: toMm(min),
    maxMm: toMm(max),
    ...(usual && { usualMm: [toMm(usual[0]), toMm(usual[1])] as const }),
  } satisfies OptionField
}
