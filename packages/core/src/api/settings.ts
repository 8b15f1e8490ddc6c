import { z } from 'zod'
import type { ReadResult } from '../file/check.js'
import { gridSchema } from '../file/cover-schema.js'
import { lengthInput, type LengthRange } from '../length/length-input.js'
import { mm, type Length } from '../length/length.js'
import { customary, defaultTapeDivision, units, type Unit } from '../length/unit.js'
import { checkedBy } from './as-typed.js'
import {
  bodyOf,
  bodyReader,
  ownUnit,
  storedShape,
  typedColumn,
  type BodyOf,
  type TypedColumn,
  type ValuesOf,
} from './columns.js'

/** How a setting is asked for on screen. */
export type SettingControl =
  | { readonly control: 'unit' }
  | { readonly control: 'grid' }
  | {
      readonly control: 'length'
      readonly range: LengthRange
      /** What stands there while nothing is said. */
      readonly usual: (unit: Unit) => Length
      /** What an arrow key steps by. */
      readonly step: (unit: Unit) => Length
    }
  | { readonly control: 'text'; readonly longest: number }

interface SettingWords {
  readonly label: string
  readonly help: string
}

/** One setting of a workshop: its column, its words and its place in the form, and what a new workshop has. */
export type SettingField<Value = unknown> = TypedColumn<Value> &
  SettingWords &
  SettingControl & { readonly initial: Value }

/** Text as it was typed; null for what is usual. */
const text = z.string().nullable()

function unitSetting(words: SettingWords): SettingField<Unit> {
  return { ...typedColumn('text', z.enum(units)), ...words, control: 'unit', initial: 'in' }
}

function gridSetting(words: SettingWords): SettingField<string | null> {
  const typed = (unit: Unit) => text.superRefine(checkedBy(gridSchema(unit).nullable()))
  return { ...typedColumn('text', text, typed), ...words, control: 'grid', initial: null }
}

function lengthSetting(
  words: SettingWords,
  field: Pick<Extract<SettingControl, { control: 'length' }>, 'range' | 'usual' | 'step'>,
): SettingField<string | null> {
  const typed = (unit: Unit) => text.superRefine(checkedBy(lengthInput(unit, field.range).nullable()))
  return { ...typedColumn('text', text, typed), ...words, ...field, control: 'length', initial: null }
}

function textSetting(words: SettingWords, longest: number): SettingField<string> {
  const typed = () => z.string().max(longest).default('')
  return { ...typedColumn('text', z.string(), typed), ...words, control: 'text', longest, initial: '' }
}

/** The settings of a workshop in the order of their form. A new one is a line here and a migration. */
export const settingFields = {
  unit: unitSetting({
    label: 'Unit',
    help: 'What a bare number means, and what everything is shown in. Customary amounts have a twin in each.',
  }),
  grid: gridSetting({
    label: 'Cutting grid',
    help: 'Cut sizes are rounded to a mark that scissors and ruler can follow.',
  }),
  tapeDivision: lengthSetting(
    {
      label: 'Tape division',
      help: 'The finest mark on your tape. The arrow keys step by it, and it says how sure a reading is.',
    },
    { range: { min: mm(0.1), max: mm(10) }, usual: defaultTapeDivision, step: () => mm(0.5) },
  ),
  seam: lengthSetting(
    { label: 'Seam allowance', help: 'Left empty, each way of making brings its own.' },
    {
      range: { min: mm(1), max: mm(50) },
      usual: unit => customary(1 / 4, unit),
      step: defaultTapeDivision,
    },
  ),
  currency: textSetting({ label: 'Currency', help: 'Written behind every price: €, fr., kr.' }, 8),
} as const

export type SettingsBody = BodyOf<typeof settingFields>
export type SettingsRow = ValuesOf<typeof settingFields> & { readonly version: number }

export const settingsRow = z.strictObject({
  version: z.int().min(1),
  ...storedShape(settingFields),
}) as unknown as z.ZodType<SettingsRow>

export const readSettingsBody: (input: unknown) => ReadResult<SettingsBody> = bodyReader(
  settingFields,
  ownUnit,
)

/** What of the row a maker sets. */
export function settingsOf(row: SettingsRow): SettingsBody {
  return bodyOf(settingFields, row)
}

/** What a workshop begins with. */
export function initialSettings(): SettingsBody {
  const initial = Object.entries(settingFields).map(([key, field]) => [key, field.initial] as const)
  return Object.fromEntries(initial) as SettingsBody
}

/** The settings in another unit: what is measured goes back to what is usual there. */
export function settingsInUnit(settings: SettingsBody, unit: Unit): SettingsBody {
  const measured = Object.entries(settingFields).flatMap(([key, { control, initial }]) =>
    control === 'length' || control === 'grid' ? [[key, initial] as const] : [],
  )
  return { ...settings, ...Object.fromEntries(measured), unit }
}
