import { findExtra } from '../extras/registry.js'
import { listOptionFields, type OptionField } from '../families/option-fields.js'
import { findFamily } from '../families/registry.js'
import { roleWords } from '../material/role.js'
import { readingWords } from '../object/reading-words.js'
import type { CoverFile } from './cover-schema.js'
import { partsOfPath, type Part } from './place.js'

/**
 * A place in a cover file as a maker would look for it: `object.readings.height[1]` is “Height, reading 2”,
 * `options.flapDepth` “Flap depth”. A place that nobody has words for is said as it stands.
 */
export function sayPlace(file: CoverFile, path: string): string {
  const [first, ...rest] = partsOfPath(path)
  switch (first) {
    case 'object':
      return ofThing(rest)
    case 'objects':
      return joined(`Book ${Number(rest[0]) + 1}`, ofThing(rest.slice(1)))
    case 'options':
      return labelOf(fieldsOfFamily(file), rest[0]) ?? path
    case 'extras':
      return ofExtra(file, rest)
    case 'layers':
      return ofLayer(file, rest)
    case 'cloths':
      return file.cloths?.[Number(rest[0])]?.name ?? 'Another cloth'
    case 'cutFrom':
      return joined('Cut from another cloth', String(rest[0] ?? ''))
    case 'oldCover':
      return joined('Old cover', trialWords[String(rest[0])] ?? '')
    case 'sizing':
      return sizingWords[String(rest.at(-1))] ?? 'Sizes'
    case 'trial':
      return joined('Trial piece', trialWords[String(rest[0])] ?? '')
    default:
      return topWords[String(first)] ?? path
  }
}

const topWords: Readonly<Record<string, string>> = {
  name: 'Name',
  unit: 'Unit',
  grid: 'Cutting grid',
  family: 'Way of making',
  seam: 'Seam allowance',
  whatIf: 'What if',
  note: 'Note',
  pieceNotes: 'Notes on pieces',
  pieced: 'Pieced pieces',
}

const thingWords: Readonly<Record<string, string>> = {
  kind: 'What it is',
  spine: 'Spine',
  foldsBack: 'The covers',
  edges: 'Edges of the device',
  frontStiffness: 'Front cover',
  backStiffness: 'Back cover',
  tapeDivision: 'Tape division',
}

const sizingWords: Readonly<Record<string, string>> = {
  mode: 'Sizes',
  width: 'Width as it is cut',
  height: 'Height as it is cut',
  name: 'Name of the rule',
  recipe: 'Recipe',
  measure: 'Added to',
  addWidth: 'Added to the width',
  addHeight: 'Added to the height',
  easeWidth: 'Ease to aim at, round it',
  easeHeight: 'Ease to aim at, in height',
}

const trialWords: Readonly<Record<string, string>> = { width: 'round it', height: 'from top to bottom' }

const layerWords: Readonly<Record<string, string>> = {
  name: 'material',
  inset: 'ends inside the edge by',
  takeUp: 'take-up when quilted',
}

function ofThing([key, reading, index]: readonly Part[]): string {
  if (key !== 'readings') return thingWords[String(key)] ?? ''
  const words = (readingWords as Readonly<Record<string, { readonly name: string }>>)[String(reading)]
  const name = words?.name ?? String(reading)
  return typeof index === 'number' && index > 0 ? `${name}, reading ${index + 1}` : name
}

function ofLayer({ layers }: CoverFile, [index, key]: readonly Part[]): string {
  const role = layers[Number(index)]?.role
  const name = role ? roleWords[role] : 'Layer'
  return key === undefined ? name : joined(name, layerWords[String(key)] ?? spaced(String(key)))
}

function ofExtra({ extras = [], unit = 'in' }: CoverFile, [index, key]: readonly Part[]): string {
  const extra = findExtra(extras[Number(index)]?.type ?? '')
  const name = extra?.words.name ?? 'Something added'
  if (key === undefined || !extra) return name
  return joined(name, (labelOf(listOptionFields(extra.options(unit)), key) ?? String(key)).toLowerCase())
}

function fieldsOfFamily({ family, unit = 'in' }: CoverFile) {
  const known = findFamily(family)
  return known ? listOptionFields(known.options(unit)) : []
}

function labelOf(
  fields: readonly (readonly [string, OptionField])[],
  key: Part | undefined,
): string | undefined {
  return fields.find(([name]) => name === key)?.[1].label
}

function joined(whole: string, part: string): string {
  return part === '' ? whole : `${whole}, ${part.charAt(0).toLowerCase()}${part.slice(1)}`
}

/** stretchAlong → stretch along. */
function spaced(key: string): string {
  return key.replace(/[A-Z]/g, letter => ` ${letter.toLowerCase()}`)
}
