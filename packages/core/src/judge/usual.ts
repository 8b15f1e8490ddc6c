import type { z } from 'zod'
import { listOptionFields } from '../families/option-fields.js'
import { findingWhen, type Finding, type Subject } from '../finding/finding.js'
import type { Repair } from '../finding/repair.js'
import { mm, ofTicks } from '../length/length.js'

interface Reporting {
  readonly aboutOf: (key: string) => Subject
  /** Whether the nearest value can be set at the press of a button: a family's options can. */
  readonly repairs: boolean
}

/** Stated lengths outside what is known to work, with the nearest that does. */
export function checkUsual(
  schema: z.ZodObject<z.ZodRawShape>,
  stated: Readonly<Record<string, unknown>>,
  { aboutOf, repairs }: Reporting,
): readonly Finding[] {
  return listOptionFields(schema).flatMap(([key, field]) => {
    const value = stated[key]
    if (field.field !== 'length' || !field.usualMm || typeof value !== 'number') return []
    const [least, most] = [mm(field.usualMm[0]), mm(field.usualMm[1])]
    const length = ofTicks(value)
    const nearest = length < least ? least : most
    const repair: Repair = {
      kind: 'set-option',
      option: key,
      name: field.label.toLowerCase(),
      length: nearest,
    }
    const data = { label: field.label, value: length, least, most }
    const outside = length < least || length > most
    return findingWhen(outside, 'outside-usual', aboutOf(key), data, repairs ? repair : undefined)
  })
}
