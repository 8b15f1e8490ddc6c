import { listOptionFields } from '../families/option-fields.js'
import { nameOption, wordOption } from '../families/option-words.js'
import type { Cover } from '../file/cover.js'
import { sayRecipeUnit } from '../file/change-unit.js'
import type { CoverFile, TypedRecipe } from '../file/cover-schema.js'
import { readDraft, readingsNeeded } from '../file/read-cover.js'
import { formatLength } from '../length/format.js'
import { subtract, zero, type Length } from '../length/length.js'
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

/** A rule that the maker keeps under a name; its bare lengths are in `unit`. */
export interface KeptRule {
  readonly recipe: TypedRecipe
  readonly unit: Unit
}

/**
 * Computed sizing, every recipe of the family, the rules that the maker keeps for it (`kept`) and the one that the cover
 * carries, a rule of the moment, and the panel that is cut already, each planned for the cover. Empty where the cover
 * cannot be planned yet. A millisecond or so.
 */
export function listSizingChoices(file: CoverFile, kept: readonly KeptRule[] = []): readonly SizingChoice[] {
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
  const ways = [
    computed,
    ...recipes,
    ...keptRules(file, cover, kept),
    ...ownRule(file, cover),
    cutAlready(file, cover),
  ]
  return ways.flatMap(choice => {
    const followed = readPlannable(choice.file)
    if (!followed) return []
    return [{ ...choice, cover: followed, plan: plan(followed) }]
  })
}

/** The id of a kept rule among the choices. */
export function ownChoiceId(name: string): string {
  return `own:${name}`
}

/** The rules that are kept for this way of making, and the one that the cover came with. */
function keptRules(file: CoverFile, { family, unit }: Cover, kept: readonly KeptRule[]) {
  if (family.ruleMeasures.length === 0) return []
  const { sizing } = file
  const carried = sizing?.mode === 'recipe' && typeof sizing.recipe === 'object' ? sizing.recipe : undefined
  const recipes = kept.map(rule =>
    rule.unit === unit ? rule.recipe : sayRecipeUnit(rule.recipe, family.id, rule.unit),
  )
  const own = carried && !recipes.some(({ name }) => name === carried.name) ? [...recipes, carried] : recipes
  return own.map(recipe => ({
    id: ownChoiceId(recipe.name),
    name: recipe.name,
    reason: 'A rule of your own: a measurement and a fixed amount.',
    price: '',
    file: recipe.name === carried?.name ? file : followOwn(file, recipe),
  }))
}

/** The same cover by a rule of the maker's own: what that brings makes room for it. */
export function followOwn(file: CoverFile, recipe: TypedRecipe): CoverFile {
  const { seam: _seam, ...rest } = file
  const brought = recipe.options ?? {}
  const options = Object.fromEntries(Object.entries(file.options ?? {}).filter(([key]) => !(key in brought)))
  return { ...(recipe.seam === undefined ? file : rest), options, sizing: { mode: 'recipe', recipe } }
}

/** The outer as it is cut already; where none is said yet, as large as it is planned. */
function cutAlready(file: CoverFile, cover: Cover) {
  return {
    id: 'cut',
    name: 'Cut already',
    reason: 'A panel used whole, or cut before anybody reckoned: the fit follows.',
    price: '',
    file: followCut(file, cover),
  }
}

function followCut(file: CoverFile, cover: Cover): CoverFile {
  if (file.sizing?.mode === 'cut') return file
  const outer = plan(cover).pieces.find(({ id }) => id === 'outer')
  const say = (length: Length = zero) => formatLength(length, cover.unit)
  return {
    ...file,
    sizing: { mode: 'cut', width: say(outer?.width.cut), height: say(outer?.height.cut) },
  }
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
  const { objects } = draft.value
  const needed = readingsNeeded(draft.value)
  const waits = objects.some(object => askedReadings(object, needed).length > 0)
  return waits ? undefined : draft.value
}
