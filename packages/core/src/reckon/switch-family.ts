import { wallRoles } from '../material/role.js'
import type { z } from 'zod'
import { findExtra } from '../extras/registry.js'
import { families, findFamily } from '../families/registry.js'
import type { Family } from '../families/contract.js'
import type { CoverFile, TypedLayer, TypedSizing } from '../file/cover-schema.js'
import { typicalMaterials } from '../file/typical-materials.js'

/**
 * The same cover made another way. Everything that still has a meaning is kept: readings, layers, grid, seam where it
 * was stated, options of the same name that the other way can read, eases, extras that it can carry. A family that is
 * not known is a bug.
 */
export function switchFamily(file: CoverFile, id: string): CoverFile {
  const family = findFamily(id)
  if (!family) throw new Error(`There is no way of making called ${id}`)
  // A trial piece and an old cover tell of the band that this way of making asked for, and nothing of another's.
  const { objects, object, options, extras, sizing, trial: _trial, oldCover: _old, ...rest } = file
  const { cutFrom, pieced, ...kept } = rest
  const [first] = objects ?? []
  const things = family.severalObjects && objects ? { objects } : { object: object ?? first }
  return {
    ...kept,
    ...(cutFrom && { cutFrom: keepWalls(cutFrom) }),
    ...(pieced && { pieced: pieced.filter(isWall) }),
    ...(things.objects ? { objects: things.objects } : things.object ? { object: things.object } : {}),
    family: id,
    layers: keepLayers(family, file.layers),
    options: keepOptions(family, options ?? {}, file.unit ?? 'in'),
    sizing: keepSizing(family, sizing),
    extras: (extras ?? []).filter(({ type }) => findExtra(type)?.refuses(family.traits) === undefined),
  }
}

/** The panels that every cover has; other pieces are other ways’ own. */
const isWall = (piece: string) => wallRoles.some(role => role === piece)

function keepWalls(cutFrom: Readonly<Record<string, string>>): Record<string, string> {
  return Object.fromEntries(Object.entries(cutFrom).filter(([piece]) => isWall(piece)))
}

/** What boards are lined with lines nothing that is sewn: where no cloth lining is there, one takes the place of the card. */
function keepLayers({ traits }: Family, layers: readonly TypedLayer[]): TypedLayer[] {
  const isLined = traits.includes('lined') && !layers.some(({ role }) => role === 'lining')
  const cloth = typicalMaterials.find(({ role }) => role === 'lining')
  return layers.map(layer => (isLined && cloth && layer.role === 'card' ? { ...cloth } : layer))
}

function keepOptions(
  family: Family,
  options: Readonly<Record<string, unknown>>,
  unit: NonNullable<CoverFile['unit']>,
): Record<string, unknown> {
  const { shape } = family.options(unit)
  return Object.fromEntries(
    Object.entries(options).filter(([key, value]) => {
      const field = shape[key] as z.ZodType | undefined
      return field?.safeParse(value).success ?? false
    }),
  )
}

/** Eases stay; a recipe or a rule stays only where the other way has it too. */
function keepSizing(
  { recipes, ruleMeasures }: Family,
  sizing: TypedSizing = { mode: 'computed' },
): TypedSizing {
  switch (sizing.mode) {
    case 'recipe':
      return recipes.some(({ id }) => id === sizing.recipe) ? sizing : { mode: 'computed' }
    case 'rule': {
      const [usual] = ruleMeasures
      if (usual === undefined) return { mode: 'computed' }
      const { measure } = sizing
      return measure !== undefined && ruleMeasures.includes(measure) ? sizing : { ...sizing, measure: usual }
    }
    default:
      return sizing
  }
}

/** Every way of making, those that suit a thing first. */
export function listFamiliesFor(object: Parameters<Family['suits']>[0]): readonly Family[] {
  const suits = (family: Family) => (family.suits(object).suits ? 0 : 1)
  return families.toSorted((one, other) => suits(one) - suits(other))
}
