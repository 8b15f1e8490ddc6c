import { listOptionFields } from '../families/option-fields.js'
import { nameOption, wordOption } from '../families/option-words.js'
import type { Cover } from '../file/cover.js'
import type { CoverFile } from '../file/cover-schema.js'
import { readDraft } from '../file/read-cover.js'
import { formatLength } from '../length/format.js'
import { subtract, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import { plan, type Plan } from '../plan/plan.js'
import { askedReadings } from '../object/required.js'

/** One way to find the size of a cover, and what it comes to on this thing with these layers. */
export interface SizingChoice {
  /** The recipe’s id, or `computed`. */
  readonly id: string
  readonly name: string
  readonly reason: string
  readonly price: string
  readonly file: CoverFile
  readonly cover: Cover
  readonly plan: Plan
}

/**
 * Computed sizing, every recipe of the family and the maker’s own rule, each planned for the cover. Empty where the cover cannot be planned
 * yet. Ten plans at most: a millisecond or so.
 */
export function listSizingChoices(file: CoverFile): readonly SizingChoice[] {
  const cover = readPlannable(file)
  if (!cover) return []
  const computed = {
    id: 'computed',
    name: 'Computed',
    reason: 'Need plus ease. Another seam changes the cut, not the fit.',
    price: '',
    file: followComputed(file),
  }
  const recipes = cover.family.recipes.map(({ id, name, reason, price }) => ({
    id,
    name,
    reason,
    price,
    file: followRecipe(file, cover, id),
  }))
  return [computed, ...recipes, ...ownRule(file, cover)].flatMap(choice => {
    const followed = readPlannable(choice.file)
    if (!followed) return []
    return [{ ...choice, cover: followed, plan: plan(followed) }]
  })
}

/** A rule of the maker's own: the one in use, or one to begin with; none where nothing can be added to. */
function ownRule(file: CoverFile, { family }: Cover) {
  if (family.ruleMeasures.length === 0) return []
  return [
    {
      id: 'rule',
      name: 'My own rule',
      reason: 'A measurement and a fixed amount; the fit follows.',
      price: '',
      file: followRule(file),
    },
  ]
}

/** The same cover, cut by a measurement and an amount; where no rule is in use yet, by 1 ½ in both ways. */
function followRule(file: CoverFile): CoverFile {
  const { sizing, unit = 'in' } = file
  if (sizing?.mode === 'rule') return file
  const usual = formatLength(customary(3 / 2, unit), unit)
  return { ...file, sizing: { mode: 'rule', addWidth: usual, addHeight: usual } }
}

/** The same cover, its size computed from the need; with the ease that is set, where it is computed already. */
export function followComputed(file: CoverFile): CoverFile {
  const { sizing } = file
  const isComputed = sizing !== undefined && (sizing.mode === undefined || sizing.mode === 'computed')
  return isComputed ? file : { ...file, sizing: { mode: 'computed' } }
}

/** The same cover by a recipe: what the recipe brings, its seam and its options, makes room for it. */
export function followRecipe(file: CoverFile, { object, stack, unit, family }: Cover, id: string): CoverFile {
  const recipe = family.recipes.find(known => known.id === id)
  if (!recipe) throw new Error(`Family ${family.id} has no recipe ${id}`)
  const { seam: _seam, ...rest } = file
  const brought = recipe.options({ object, stack, unit, seam: recipe.seam(unit) })
  const kept = Object.entries(file.options ?? {}).filter(([key]) => !(key in brought))
  return { ...rest, options: Object.fromEntries(kept), sizing: { mode: 'recipe', recipe: id } }
}

/**
 * Choices that cut differently and yet leave the same ease, to half a millimetre: their amounts differ only by what
 * their seams take. Pairs of ids.
 */
export function findSameFits(choices: readonly SizingChoice[]): readonly (readonly [string, string])[] {
  return choices.flatMap((one, index) =>
    choices
      .slice(index + 1)
      .flatMap(other => (fitsAlike(one.plan, other.plan) ? [[one.id, other.id] as const] : [])),
  )
}

const halfMillimetre = 160

function fitsAlike(one: Plan, other: Plan): boolean {
  if (one.fits.length === 0 || one.settled.seam === other.settled.seam) return false
  return one.fits.every(fit => {
    const twin = other.fits.find(({ direction }) => direction === fit.direction)
    return twin !== undefined && Math.abs(subtract(fit.ease, twin.ease)) <= halfMillimetre
  })
}

/** What another choice does differently from the one in use, in few words. */
export function describeDifferences(
  choice: SizingChoice,
  inUse: SizingChoice,
  unit: Unit,
): readonly string[] {
  const say = (length: Length) => formatLength(length, unit, { style: 'proper' })
  const { seam } = choice.plan.settled
  const fields = listOptionFields(choice.cover.family.options(unit))
  const options = choice.plan.settled.options as Readonly<Record<string, unknown>>
  const before = inUse.plan.settled.options as Readonly<Record<string, unknown>>
  return [
    ...(seam === inUse.plan.settled.seam ? [] : [`seam ${say(seam)}`]),
    ...Object.entries(options).flatMap(([key, value]) => {
      if (value === before[key] || value === undefined) return []
      const word = wordOption(fields, key, value)
      const name = nameOption(fields, key)
      return [
        typeof value === 'boolean'
          ? `${name}: ${word}`
          : `${name} ${typeof word === 'string' ? word : say(word)}`,
      ]
    }),
  ]
}

/** The cover of a file that is whole enough to be planned. */
export function readPlannable(file: CoverFile): Cover | undefined {
  const draft = readDraft(file)
  if (!draft.ok) return undefined
  const { objects, family } = draft.value
  const waits = objects.some(object => askedReadings(object, family.requiredReadings).length > 0)
  return waits ? undefined : draft.value
}
