import { z } from 'zod'
import type { ReadResult } from '../file/check.js'
import { gridSchema } from '../file/cover-schema.js'
import { lengthInput, type LengthRange } from '../length/length-input.js'
import { mm, type Length } from '../length/length.js'
import { lengthList, readLengths } from '../length/length-list.js'
import { parseLength } from '../length/parse.js'
import { parseExceptions, parseWeeklyHours, type ReadHours } from '../make/schedule/working-hours.js'
import { usualHands, type Hands, type Schools } from '../make/hands.js'
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
      /** What stands there while nothing is said; nothing where nothing is usual. */
      readonly usual: (unit: Unit) => Length | undefined
      /** What an arrow key steps by. */
      readonly step: (unit: Unit) => Length
    }
  | { readonly control: 'text'; readonly longest: number }
  /** Several lengths one after the other, each within the range. */
  | { readonly control: 'lengths'; readonly range: LengthRange }
  | { readonly control: 'choice'; readonly choices: Readonly<Record<string, string>> }

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

/** Text in a form of its own: kept as typed, refused with what is wrong with it. */
function hoursSetting(
  words: SettingWords,
  parse: (text: string) => ReadHours<unknown>,
  initial: string,
): SettingField<string> {
  const longest = 1000
  const typed = () =>
    z
      .string()
      .max(longest)
      .default(initial)
      .superRefine((text, context) => {
        const read = parse(text)
        if (!read.ok) context.addIssue({ code: 'custom', message: read.message })
      })
  return { ...typedColumn('text', z.string(), typed), ...words, control: 'text', longest, initial }
}

function lengthsSetting(words: SettingWords, range: LengthRange): SettingField<string | null> {
  const typed = (unit: Unit) => text.superRefine(checkedBy(lengthList(unit, range).max(100).nullable()))
  return { ...typedColumn('text', text, typed), ...words, control: 'lengths', range, initial: null }
}

function choiceSetting<const Choices extends Readonly<Record<string, string>>>(
  words: SettingWords,
  choices: Choices,
  initial: keyof Choices & string,
): SettingField<keyof Choices & string> {
  const schema = z.enum(Object.keys(choices)) as unknown as z.ZodType<keyof Choices & string>
  return { ...typedColumn('text', schema), ...words, control: 'choice', choices, initial }
}

/** Something that is at hand or is not. */
function atHandSetting(label: string, help: string): SettingField<'yes' | 'no'> {
  return choiceSetting({ label, help }, { yes: 'at hand', no: 'not at hand' }, 'yes')
}

/** How far a tool reaches; null where nobody knows. */
function reachSetting(words: SettingWords, most: Length): SettingField<string | null> {
  return lengthSetting(words, {
    range: { min: mm(0.1), max: most },
    usual: () => undefined,
    step: defaultTapeDivision,
  })
}

/** What hand punches make. */
const punchable = { min: mm(0.5), max: mm(30) }

/** No tape has marks further apart. */
export const coarsestTape = mm(10)

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
    { range: { min: mm(0.1), max: coarsestTape }, usual: defaultTapeDivision, step: () => mm(0.5) },
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
  machine: atHandSetting('Sewing machine', 'Without one, seams are sewn by hand or glued.'),
  evenFeedFoot: atHandSetting('Even-feed foot', 'For quilting and thick piles.'),
  zipFoot: atHandSetting('Zip foot', 'For zips and piping.'),
  iron: atHandSetting('Iron', 'Without one, edges are pressed with the fingernail and nothing is fused.'),
  rotaryCutter: atHandSetting('Rotary cutter and mat', 'Else scissors.'),
  hand: choiceSetting(
    { label: 'You work', help: 'Pictures of the work are mirrored for the left hand.' },
    { right: 'right-handed', left: 'left-handed' },
    'right',
  ),
  level: choiceSetting(
    { label: 'Your hand', help: 'Beginners take half as long again.' },
    { practised: 'practised', beginner: 'new to it' },
    'practised',
  ),
  footLift: reachSetting(
    {
      label: 'Under the presser foot',
      help: 'The thickest pile that goes under it. Left empty, nobody knows.',
    },
    mm(20),
  ),
  punchReach: reachSetting(
    { label: 'The punch reaches', help: 'From the edge of the work to the hole. Left empty, any way.' },
    mm(400),
  ),
  punchSizes: lengthsSetting(
    { label: 'The punch makes holes of', help: 'One after the other, parted by commas. Left empty, any.' },
    punchable,
  ),
  cutsBoard: reachSetting(
    { label: 'The paper cutter cuts', help: 'The thickest board that it goes through. Left empty, any.' },
    mm(20),
  ),
  learning: choiceSetting(
    {
      label: 'What your makes tell',
      help: 'Your own pace, and how your seams come out: shown in the log, and used for new covers and for the plan of time where you like.',
    },
    { shown: 'is only shown', used: 'is used' },
    'shown',
  ),
  sessions: hoursSetting(
    {
      label: 'When you work',
      help: 'Day and time of each session of a usual week, parted by commas: Tue 19:00–21:00, Sat 2 pm – 5 pm.',
    },
    parseWeeklyHours,
    'Tue 19:00–21:00, Thu 19:00–21:00, Sat 14:00–17:00',
  ),
  exceptions: hoursSetting(
    {
      label: 'Days that are not as usual',
      help: 'Parted by commas: 2026-12-24 off, 2026-12-26 10:00–12:00.',
    },
    parseExceptions,
    '',
  ),
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

/** What a workshop has at hand, and how its maker works; lengths that nobody set are left out. */
export function handsOf(settings: SettingsBody, schools: Partial<Schools> = {}, pace?: Hands['pace']): Hands {
  const { unit, hand, level, footLift, punchReach, punchSizes, cutsBoard } = settings
  const holes = readLengths(punchSizes ?? '', unit, punchable)
  const reach = (key: keyof Hands, typed: string | null) => {
    const read = typed === null ? undefined : parseLength(typed, unit)
    return read?.ok ? { [key]: read.length } : {}
  }
  return {
    ...usualHands,
    ...schools,
    ...(pace && { pace }),
    machine: settings.machine === 'yes',
    evenFeedFoot: settings.evenFeedFoot === 'yes',
    zipFoot: settings.zipFoot === 'yes',
    iron: settings.iron === 'yes',
    rotaryCutter: settings.rotaryCutter === 'yes',
    leftHanded: hand === 'left',
    beginner: level === 'beginner',
    ...reach('footLift', footLift),
    ...reach('punchReach', punchReach),
    ...(holes.ok && holes.lengths.length > 0 && { punchSizes: holes.lengths }),
    ...reach('cutsBoard', cutsBoard),
  }
}

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
    control === 'length' || control === 'lengths' || control === 'grid' ? [[key, initial] as const] : [],
  )
  return { ...settings, ...Object.fromEntries(measured), unit }
}
