import type { Cover } from '../../file/cover.js'
import type { CoverFile } from '../../file/cover-schema.js'
import { amountRange, easeRange, panelRange, seamRange } from '../../file/sizing-schema.js'
import { listOptionFields, type OptionField } from '../../families/option-fields.js'
import { totalWidth } from '../../families/strip.js'
import { placeKeys } from '../../extras/place-keys.js'
import { mm, ofTicks, zero, type Length } from '../../length/length.js'
import type { LengthRange } from '../../length/length-input.js'
import type { Plan } from '../../plan/plan.js'

export type SizingKey = 'easeWidth' | 'easeHeight' | 'addWidth' | 'addHeight' | 'width' | 'height'

/** A length of a cover that its maker sets. */
export type Setting =
  | { readonly kind: 'option'; readonly key: string }
  /** Of one of the things that were added, counted from 0. */
  | { readonly kind: 'extra'; readonly extra: number; readonly key: string }
  | { readonly kind: 'sizing'; readonly key: SizingKey }
  | { readonly kind: 'seam' }

/** A setting as a cover has it. */
export interface Settable {
  readonly setting: Setting
  readonly label: string
  readonly range: LengthRange
  /** What holds now; undefined where it is found in another way than by a length, or by the extra itself. */
  readonly value?: Length
}

const sizingWords: Readonly<Record<SizingKey, string>> = {
  easeWidth: 'Ease to aim at, round it',
  easeHeight: 'Ease to aim at, in height',
  addWidth: 'Added to the width',
  addHeight: 'Added to the height',
  width: 'Width of the panel',
  height: 'Height of the panel',
}

/** The lengths that can be set on a cover: those of its way of making, its sizing, its seam, what is added to it. */
export function listSettable(cover: Cover, planned: Plan): readonly Settable[] {
  const settled = planned.settled.options as Readonly<Record<string, unknown>>
  const idle = new Set(cover.family.unused?.(settled) ?? [])
  return [
    ...lengthsAmong(listOptionFields(cover.family.options(cover.unit)))
      .filter(({ key }) => !idle.has(key))
      .map(({ key, ...field }) => ({
        ...field,
        setting: { kind: 'option', key } as const,
        ...valueIn(settled, key),
      })),
    ...sizingLengths(cover),
    ...(cover.family.traits.includes('seamed')
      ? [
          {
            setting: { kind: 'seam' } as const,
            label: 'Seam allowance',
            range: seamRange,
            value: planned.settled.seam,
          },
        ]
      : []),
    ...cover.extras.flatMap(({ extra, options }, index) => {
      const along = edgesFor(cover, planned, index)
      return lengthsAmong(listOptionFields(extra.options(cover.unit)))
        .filter(({ key }) => !places.has(key) || key in along)
        .map(({ key, label, range }) => ({
          setting: { kind: 'extra', extra: index, key } as const,
          label: `${extra.words.name}: ${label.toLowerCase()}`,
          range: along[key] ? { min: zero, max: along[key] } : range,
          ...valueIn(options, key),
        }))
    }),
  ]
}

const places: ReadonlySet<string> = new Set(placeKeys)

/**
 * What moves an extra that sits at an edge, and how long that edge is. What lies on ground of its own is carried about
 * there instead (`findCarries`).
 */
function edgesFor(
  { extras, family }: Cover,
  { placed, strip }: Plan,
  index: number,
): Readonly<Record<string, Length>> {
  if (placed.some(({ extra }) => extra === index)) return {}
  const wall = strip.panels.find(({ kind }) => kind === 'wall')
  const edges: Readonly<Record<string, Length>> = {
    x: wall?.width ?? totalWidth(strip.panels),
    y: strip.height,
  }
  const heeded: readonly string[] = extras[index]?.extra.places(family.traits) ?? []
  return Object.fromEntries(Object.entries(edges).filter(([key]) => heeded.includes(key)))
}

function lengthsAmong(fields: readonly (readonly [string, OptionField])[]) {
  return fields.flatMap(([key, field]) =>
    field.field === 'length'
      ? [{ key, label: field.label, range: { min: mm(field.minMm), max: mm(field.maxMm) } }]
      : [],
  )
}

function valueIn(options: Readonly<Record<string, unknown>>, key: string): { readonly value?: Length } {
  const value = options[key]
  return typeof value === 'number' ? { value: ofTicks(value) } : {}
}

function sizingLengths({ sizing, family, unit }: Cover): readonly Settable[] {
  const settable = (key: SizingKey, range: LengthRange, value: Length): Settable => ({
    setting: { kind: 'sizing', key },
    label: sizingWords[key],
    range,
    value,
  })
  switch (sizing.mode) {
    case 'computed': {
      const usual = family.defaultEase(unit)
      if (usual.height <= zero) return []
      return [
        settable('easeWidth', easeRange, sizing.easeWidth ?? usual.width),
        settable('easeHeight', easeRange, sizing.easeHeight ?? usual.height),
      ]
    }
    case 'rule':
      return [
        settable('addWidth', amountRange, sizing.addWidth),
        settable('addHeight', amountRange, sizing.addHeight),
      ]
    case 'cut':
      return [settable('width', panelRange, sizing.width), settable('height', panelRange, sizing.height)]
    case 'recipe':
      return []
  }
}

/** The cover with a setting as long as `length`. */
export function setOn(cover: Cover, setting: Setting, length: Length): Cover {
  switch (setting.kind) {
    case 'option':
      return { ...cover, options: { ...cover.options, [setting.key]: length } }
    case 'extra':
      return {
        ...cover,
        extras: cover.extras.map((added, index) =>
          index === setting.extra
            ? { ...added, options: { ...added.options, [setting.key]: length } }
            : added,
        ),
      }
    case 'sizing':
      return { ...cover, sizing: { ...cover.sizing, [setting.key]: length } }
    case 'seam':
      return { ...cover, seam: length }
  }
}

/** The cover file with a setting as it was typed; undefined leaves it to the way of making again. */
export function withSetting(file: CoverFile, setting: Setting, typed: string | undefined): CoverFile {
  switch (setting.kind) {
    case 'option':
      return { ...file, options: withKey(file.options ?? {}, setting.key, typed) }
    case 'extra':
      return {
        ...file,
        extras: (file.extras ?? []).map((extra, index) =>
          index === setting.extra
            ? { ...extra, ...withKey(extra, setting.key, typed), type: extra.type }
            : extra,
        ),
      }
    case 'sizing':
      return {
        ...file,
        sizing: withKey({ mode: 'computed', ...file.sizing }, setting.key, typed),
      }
    case 'seam': {
      const { seam: _before, ...rest } = file
      return typed === undefined ? rest : { ...rest, seam: typed }
    }
  }
}

function withKey(record: object, key: string, typed: string | undefined): Record<string, unknown> {
  const { [key]: _before, ...others } = record as Record<string, unknown>
  return typed === undefined ? others : { ...others, [key]: typed }
}
