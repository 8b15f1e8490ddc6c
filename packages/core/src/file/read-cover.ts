import type { z } from 'zod'
import { findExtra, extras as knownExtras } from '../extras/registry.js'
import type { Family, FamilyOptions } from '../families/contract.js'
import { families, findFamily } from '../families/registry.js'
import { units, type Unit } from '../length/unit.js'
import { missingReadings, type RequiredReadings } from '../object/required.js'
import { findCloths } from '../material/cut-from.js'
import { coverSchema, type CoverFile } from './cover-schema.js'
import type { AddedExtra, Cover } from './cover.js'
import { check, type ReadResult } from './check.js'
import type { Issue } from './issue.js'
import { settleLayer, settleMaterial } from './layer-schema.js'
import { describeMissing } from './missing-words.js'
import { show } from './schema-issues.js'
import { settleHand } from './hand-schema.js'
import { settleOldCover } from './old-cover-schema.js'
import { settleTrial } from './trial-schema.js'
import { settleSizing, type ReadSizing } from './sizing-schema.js'
import { upgradeCoverFile } from './upgrades.js'

/** Reads a cover file that can be planned: right in form, and every needed reading taken. */
export function readCover(input: unknown): ReadResult<Cover> {
  const draft = readDraft(input)
  if (!draft.ok) return draft
  const { objects } = draft.value
  const issues = objects.flatMap((object, index) =>
    missingReadings(object, readingsNeeded(draft.value)).map(choice =>
      describeMissing(choice, objects.length > 1 ? `objects[${index}]` : 'object'),
    ),
  )
  return issues.length > 0 ? { ok: false, issues } : draft
}

/** Reads a cover file that may still wait for readings, as a maker leaves it half-way. Never throws. */
export function readDraft(input: unknown): ReadResult<Cover> {
  const upgraded = upgradeCoverFile(input)
  if (!upgraded.ok) return upgraded
  const file = check(coverSchema(unitOf(upgraded.value)), upgraded.value)
  return file.ok ? assemble(file.value) : file
}

/** The readings that a cover needs: all that its way of making asks for, or what an old cover that fits leaves open. */
export function readingsNeeded({ family, old }: Pick<Cover, 'family' | 'old'>): RequiredReadings {
  const { requiredReadings, besideOldCover } = family
  return old.width && old.height && besideOldCover ? besideOldCover : requiredReadings
}

function assemble(file: z.output<ReturnType<typeof coverSchema>>): ReadResult<Cover> {
  const family = findFamily(file.family)
  if (!family)
    return refuse('family', `${show(file.family)} is not a way of making. Known: ${listOf(families, 'id')}.`)
  const options = readOptions(family, file.options, file.unit, 'options')
  const ownOptions = readOptions(family, ownOptionsOf(file.sizing), file.unit, 'sizing.recipe.options')
  const extras = file.extras.map((extra, index) => readExtra(extra, index, file.unit))
  const issues = [
    ...checkObjects(file, family),
    ...checkLayers(file.layers),
    ...checkSizing(file.sizing, family),
    ...(options.ok ? [] : options.issues),
    ...(ownOptions.ok ? [] : ownOptions.issues),
    ...checkCloths(file),
    ...extras.flatMap(extra => (extra.ok ? [] : extra.issues)),
  ]
  const [object, ...others] = file.objects ?? (file.object ? [file.object] : [])
  if (issues.length > 0 || !options.ok || !ownOptions.ok || !object) return { ok: false, issues }
  const { name, unit, grid, seam, trial } = file
  const stack = file.layers.map(layer => settleLayer(layer, family, unit))
  const cloths = file.cloths.map(settleMaterial)
  const { cutFrom, missing } = findCloths(file.cutFrom, [...stack, ...cloths])
  return {
    ok: true,
    value: {
      name,
      unit,
      grid,
      object,
      objects: [object, ...others],
      family,
      ...(seam !== undefined && { seam }),
      sizing: settleSizing(file.sizing, family.ruleMeasures, ownOptions.value),
      options: options.value,
      stack,
      cloths,
      cutFrom,
      noSuchCloths: missing,
      pieced: file.pieced,
      extras: extras.flatMap(extra => (extra.ok ? [extra.value] : [])),
      ...(trial && { trial: settleTrial(trial) }),
      ...(file.hand && { hand: settleHand(file.hand) }),
      old: file.oldCover ? settleOldCover(file.oldCover, family.defaultEase(unit)) : {},
      ...(file.upgradedFrom !== undefined && { upgradedFrom: file.upgradedFrom }),
    },
  }
}

function readOptions(family: Family, options: unknown, unit: Unit, path: string): ReadResult<FamilyOptions> {
  const read = check(family.options(unit), options)
  return read.ok ? read : { ok: false, issues: under(path, read.issues) }
}

function readExtra(typed: { readonly type: string }, index: number, unit: Unit): ReadResult<AddedExtra> {
  const { type, ...options } = typed
  const extra = findExtra(type)
  const path = `extras[${index}]`
  if (!extra)
    return refuse(
      `${path}.type`,
      `${show(type)} cannot be added to a cover. Known: ${listOf(knownExtras, 'type')}.`,
    )
  const read = check(extra.options(unit), options)
  if (read.ok) return { ok: true, value: { extra, options: read.value } }
  return { ok: false, issues: under(path, read.issues) }
}

function checkObjects(file: { object?: unknown; objects?: unknown }, family: Family): readonly Issue[] {
  if (file.objects !== undefined && file.object !== undefined)
    return [{ path: 'objects', message: 'Give either object or objects, not both.' }]
  if (file.objects !== undefined && !family.severalObjects)
    return [{ path: 'objects', message: `A ${family.id} is made for one thing: give it as object.` }]
  if (file.object === undefined && file.objects === undefined)
    return [
      {
        path: 'object',
        message: 'Expected what is covered: an object with kind and readings, found nothing.',
      },
    ]
  return []
}

function checkLayers(layers: readonly { readonly role: string }[]): readonly Issue[] {
  const rolesSeen = layers.map(layer => layer.role)
  const twice = layers.flatMap(({ role }, index) =>
    rolesSeen.indexOf(role) < index
      ? [{ path: `layers[${index}].role`, message: `There is a layer “${role}” already; one of each role.` }]
      : [],
  )
  if (!rolesSeen.includes('outer'))
    return [
      ...twice,
      { path: 'layers', message: 'Expected an outer layer, the cloth that is seen; found none.' },
    ]
  if (twice.length === 0 && rolesSeen.at(-1) !== 'outer')
    return [{ path: 'layers', message: 'Layers run from the thing outwards: the outer must stand last.' }]
  return twice
}

function ownOptionsOf(sizing: ReadSizing): unknown {
  return sizing.mode === 'recipe' && typeof sizing.recipe === 'object' ? sizing.recipe.options : {}
}

/** Cloths are told apart by their names. */
function checkCloths({
  cloths,
}: {
  readonly cloths: readonly { readonly name: string }[]
}): readonly Issue[] {
  const names = cloths.map(({ name }) => name.trim().toLowerCase())
  return cloths.flatMap(({ name }, index) =>
    names.indexOf(name.trim().toLowerCase()) < index
      ? [
          {
            path: `cloths[${index}].name`,
            message: `There is a cloth ${show(name)} already; name this one otherwise.`,
          },
        ]
      : [],
  )
}

function checkSizing(sizing: ReadSizing, family: Family): readonly Issue[] {
  if (sizing.mode === 'cut' || sizing.mode === 'computed') return []
  const own = sizing.mode === 'recipe' && typeof sizing.recipe === 'object' ? sizing.recipe : undefined
  if (sizing.mode === 'recipe' && !own && !family.recipes.some(({ id }) => id === sizing.recipe))
    return [
      {
        path: 'sizing.recipe',
        message: `${show(sizing.recipe)} is not a recipe of ${family.id}. Known: ${listOf(family.recipes, 'id')}.`,
      },
    ]
  if ((sizing.mode === 'rule' || own) && family.ruleMeasures.length === 0)
    return [{ path: 'sizing.mode', message: `A ${family.id} is not sized by a rule. Use computed.` }]
  const measure = sizing.mode === 'rule' ? sizing.measure : own?.measure
  if (measure !== undefined && !family.ruleMeasures.some(known => known === measure))
    return [
      {
        path: own ? 'sizing.recipe.measure' : 'sizing.measure',
        message: `A rule for ${family.id} adds to ${family.ruleMeasures.join(' or ')}, found ${show(measure)}.`,
      },
    ]
  return []
}

/** The unit that bare numbers of the file are in; inches where it says nothing known. */
function unitOf(input: unknown): Unit {
  const unit = (input as Partial<CoverFile> | null)?.unit
  return units.find(known => known === unit) ?? 'in'
}

function under(parent: string, issues: readonly Issue[]): readonly Issue[] {
  return issues.map(issue => {
    const { path } = issue
    return {
      ...issue,
      path: path === '' ? parent : path.startsWith('[') ? parent + path : `${parent}.${path}`,
    }
  })
}

function refuse(path: string, message: string): { readonly ok: false; readonly issues: readonly Issue[] } {
  return { ok: false, issues: [{ path, message }] }
}

function listOf<Key extends string>(known: readonly Readonly<Record<Key, string>>[], key: Key): string {
  return known.map(entry => entry[key]).join(', ')
}
