import { z } from 'zod'
import { lengthInput, type LengthRange } from '../length/length-input.js'
import { toMm } from '../length/length.js'
import type { Unit } from '../length/unit.js'

/** What a form needs to know of an option beside its schema; carried as the field's `meta`. */
export type OptionField =
  | {
      readonly field: 'length'
      readonly label: string
      readonly help: string
      readonly minMm: number
      readonly maxMm: number
    }
  | {
      readonly field: 'choice'
      readonly label: string
      readonly help: string
      readonly choices: Readonly<Record<string, string>>
    }

/** An optional length among a family's or an extra's options. */
export function lengthOption(
  unit: Unit,
  range: LengthRange,
  words: { readonly label: string; readonly help: string },
) {
  return lengthInput(unit, range)
    .optional()
    .meta({ ...words, field: 'length', minMm: toMm(range.min), maxMm: toMm(range.max) } satisfies OptionField)
}

/** An optional choice among named values, each with its words. */
export function choiceOption<const Value extends string>(
  choices: Readonly<Record<Value, string>>,
  words: { readonly label: string; readonly help: string },
) {
  const values = Object.keys(choices) as [Value, ...Value[]]
  return z
    .enum(values)
    .optional()
    .meta({ ...words, field: 'choice', choices } satisfies OptionField)
}

/** The fields of an options schema in their order, for a form. */
export function listOptionFields(
  schema: z.ZodObject<z.ZodRawShape>,
): readonly (readonly [string, OptionField])[] {
  return Object.entries(schema.shape).flatMap(([key, field]) => {
    const meta = (field as z.ZodType).meta() as OptionField | undefined
    return meta ? [[key, meta] as const] : []
  })
}
