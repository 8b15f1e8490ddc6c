import { findingWhen, type Finding, type RecipeChange } from '../finding/finding.js'
import type { OwnRecipe, Sizing } from '../fit/sizing.js'
import type { Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { Stack } from '../material/layer.js'
import type { CoveredObject } from '../object/reading.js'
import type { Family, FamilyOptions, Job, Recipe } from './contract.js'
import { listOptionFields } from './option-fields.js'
import { nameOption, wordOption } from './option-words.js'

/** What a cover states of its make-up; what it leaves out, the recipe or the family decides. */
export interface Stated {
  readonly object: CoveredObject
  readonly stack: Stack
  readonly unit: Unit
  readonly seam?: Length
  readonly sizing: Sizing
  readonly options: FamilyOptions
}

/** Seam, sizing and options after the recipe: what the cover states wins, and is pointed out. */
export interface Settled extends Pick<Job<FamilyOptions>, 'seam' | 'sizing' | 'options'> {
  readonly findings: readonly Finding[]
}

/** Resolves a recipe into a rule. A recipe that the family does not have is a bug: files are checked on reading. */
export function settleMakeUp(family: Family, stated: Stated): Settled {
  const { sizing, unit } = stated
  if (sizing.mode !== 'recipe')
    return {
      seam: stated.seam ?? family.defaultSeam(unit, stated.options),
      sizing,
      options: stated.options,
      findings: [],
    }
  const { recipe } = sizing
  if (typeof recipe !== 'string') return followRecipe(family, ownRule(family, recipe, stated), stated)
  const known = family.recipes.find(({ id }) => id === recipe)
  if (!known) throw new Error(`Family ${family.id} has no recipe ${recipe}`)
  return followRecipe(family, known, stated)
}

type Rule = Pick<Recipe<FamilyOptions>, 'name' | 'seam' | 'sizing' | 'options'>

/** A maker’s own rule, followed as one of the family’s is. */
function ownRule(family: Family, own: OwnRecipe, stated: Stated): Rule {
  const { name, measure, addWidth, addHeight, seam, options } = own
  return {
    name,
    seam: unit => seam ?? family.defaultSeam(unit, { ...options, ...stated.options }),
    sizing: () => ({ mode: 'rule', measure, addWidth, addHeight }),
    options: () => options,
  }
}

function followRecipe(family: Family, recipe: Rule, stated: Stated): Settled {
  const { object, stack, unit } = stated
  const seam = stated.seam ?? recipe.seam(unit)
  const brought = recipe.options({ object, stack, unit, seam })
  const changes: readonly RecipeChange[] = [
    ...(seam === recipe.seam(unit) ? [] : [{ what: 'seam', recipe: recipe.seam(unit), stated: seam }]),
    ...changedOptions(listOptionFields(family.options(unit)), brought, stated.options),
  ]
  return {
    seam,
    sizing: recipe.sizing({ object, stack, unit }),
    options: { ...statedOnly(brought), ...statedOnly(stated.options) },
    findings: findingWhen(changes.length > 0, 'recipe-changed', 'sizing', { recipe: recipe.name, changes }),
  }
}

function changedOptions(
  fields: ReturnType<typeof listOptionFields>,
  brought: FamilyOptions,
  stated: FamilyOptions,
): readonly RecipeChange[] {
  return Object.entries(statedOnly(stated)).flatMap(([key, value]) => {
    const recipe = brought[key]
    if (recipe === undefined || recipe === value) return []
    return [
      {
        what: nameOption(fields, key),
        recipe: wordOption(fields, key, recipe),
        stated: wordOption(fields, key, value),
      },
    ]
  })
}

function statedOnly(options: FamilyOptions): FamilyOptions {
  return Object.fromEntries(Object.entries(options).filter(([, value]) => value !== undefined))
}
