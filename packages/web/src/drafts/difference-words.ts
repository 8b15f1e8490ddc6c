import {
  findExtra,
  findFamily,
  formatLength,
  listOptionFields,
  parseLength,
  sayPlace,
  settingFields,
  type CoverBody,
  type CoverFile,
  type MaterialBody,
  type SettingsBody,
  type ThingBody,
  type Unit,
} from '@snowdrift/core'
import { kindWords, spineWords } from '../views/kind-words'
import type { DifferenceWords } from './differences'
import type { Kind } from './kinds'

/** How the rows of a kind say what differs: places by their labels, lengths in the unit that is shown. */
export function wordsFor(kind: Kind, body: unknown, unit: Unit): DifferenceWords | undefined {
  switch (kind) {
    case 'cover':
      return coverWords((body as CoverBody).file, unit)
    case 'thing':
      return thingWords(body as ThingBody, unit)
    case 'material':
      return labelled(materialLabels, (body as MaterialBody).unit, unit)
    case 'settings':
      return labelled(settingLabels, (body as SettingsBody).unit, unit)
    case 'cutting':
      return undefined
  }
}

function coverWords(file: CoverFile, unit: Unit): DifferenceWords {
  return {
    place: path => sayPlace(file, pathOf(path)),
    value: (path, value) => {
      const last = path.at(-1)
      if (last === 'name') return undefined
      if (last === 'family') return findFamily(String(value))?.words.name
      if (last === 'recipe') return findFamily(file.family)?.recipes.find(({ id }) => id === value)?.name
      if (path[0] === 'options')
        return sayOption(file, last ?? '', value) ?? sayLength(value, file.unit, unit)
      return sayExtra(path, value) ?? sayReading(value, file.unit, unit) ?? sayKind(last, value)
    },
  }
}

function thingWords({ unit: written, object, name }: ThingBody, unit: Unit): DifferenceWords {
  const file: CoverFile = {
    format: 'snowdrift/cover',
    version: 2,
    name,
    unit: written,
    object,
    family: '',
    layers: [],
  }
  return coverWords(file, unit)
}

/** `['object', 'readings', 'height', '0']` → `object.readings.height[0]`. */
function pathOf(path: readonly string[]): string {
  return path.reduce((whole, part) => {
    if (/^\d+$/.test(part)) return `${whole}[${part}]`
    return whole === '' ? part : `${whole}.${part}`
  }, '')
}

function sayOption({ family, unit = 'in' }: CoverFile, key: string, value: unknown): string | undefined {
  const known = findFamily(family)
  const field = known && listOptionFields(known.options(unit)).find(([name]) => name === key)?.[1]
  return field?.field === 'choice' && typeof value === 'string' ? field.choices[value] : undefined
}

function sayExtra(path: readonly string[], value: unknown): string | undefined {
  if (path[0] !== 'extras') return undefined
  const added = Array.isArray(value) ? (value as readonly unknown[]) : [value]
  const names = added.flatMap(entry => {
    const { type } = (entry ?? {}) as { readonly type?: string }
    return type === undefined ? [] : [findExtra(type)?.words.name ?? type]
  })
  return names.length > 0 ? names.join(', ') : undefined
}

function sayKind(key: string | undefined, value: unknown): string | undefined {
  if (typeof value !== 'string') return undefined
  if (key === 'kind' && value in kindWords) return kindWords[value as keyof typeof kindWords].name
  return key === 'spine' && value in spineWords ? spineWords[value as keyof typeof spineWords] : undefined
}

/** A reading may be a length, a length with what is known of it, or several. */
function sayReading(value: unknown, written: Unit | undefined, unit: Unit): string | undefined {
  if (Array.isArray(value)) {
    const said = (value as readonly unknown[]).map(entry => sayReading(entry, written, unit))
    return said.length > 0 && said.every(entry => entry !== undefined) ? said.join(', ') : undefined
  }
  const { value: inside } = (typeof value === 'object' && value !== null ? value : {}) as { value?: unknown }
  return sayLength(inside ?? value, written, unit)
}

/** Lengths are typed; a number by itself is a count or a share. */
function sayLength(value: unknown, written: Unit = 'in', unit: Unit): string | undefined {
  if (typeof value !== 'string') return undefined
  const read = parseLength(value, written)
  return read.ok ? formatLength(read.length, unit, { style: 'proper' }) : undefined
}

const materialLabels: Readonly<Record<string, string>> = {
  swatch: 'Colour',
  name: 'Name',
  role: 'For',
  thickness: 'Thickness',
  print: 'Print',
  repeat: 'Repeat',
  repeatAcross: 'Repeat across',
  width: 'Usable width',
  shrinkage: 'Shrinks by, %',
  washed: 'Washed',
  price: 'Price',
  notion: 'Kept as',
  weave: 'Swatch',
}

const settingLabels = Object.fromEntries(
  Object.entries(settingFields).map(([key, { label }]) => [key, label] as const),
)

function labelled(labels: Readonly<Record<string, string>>, written: Unit, unit: Unit): DifferenceWords {
  const isLength = (key: string | undefined) => key !== 'name' && key !== 'swatch' && key !== 'unit'
  return {
    place: path => labels[path.at(-1) ?? ''],
    value: (path, value) => (isLength(path.at(-1)) ? sayLength(value, written, unit) : undefined),
  }
}
