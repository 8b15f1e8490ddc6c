import { z } from 'zod'
import { ruleMeasures, type RuleMeasure, type Sizing } from '../fit/sizing.js'
import { mm, zero } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import { lengthInput } from '../length/length-input.js'

/** How the cut is found: computed from need and ease, by a rule, or by a recipe. Without a mode it is computed. */
export function sizingSchema(unit: Unit) {
  const ease = lengthInput(unit, easeRange).optional()
  const amount = lengthInput(unit, amountRange)
  const computed = z.strictObject({
    mode: z.literal('computed').default('computed'),
    easeWidth: ease,
    easeHeight: ease,
  })
  const rule = z.strictObject({
    mode: z.literal('rule'),
    measure: z.enum(ruleMeasures).optional(),
    addWidth: amount,
    addHeight: amount,
  })
  const recipe = z.strictObject({
    mode: z.literal('recipe'),
    recipe: z.union([z.string().max(60), ownRecipeSchema(unit)]),
  })
  const cutSize = lengthInput(unit, panelRange)
  const cut = z.strictObject({ mode: z.literal('cut'), width: cutSize, height: cutSize })
  return z.discriminatedUnion('mode', [computed, rule, recipe, cut])
}

/** A maker’s own rule, kept under a name; a cover that follows it carries it whole. */
export function ownRecipeSchema(unit: Unit) {
  const amount = lengthInput(unit, amountRange)
  return z.strictObject({
    name: z.string().trim().min(1).max(120),
    measure: z.enum(ruleMeasures).optional(),
    addWidth: amount,
    addHeight: amount,
    seam: lengthInput(unit, seamRange).optional(),
    options: z.record(z.string(), z.unknown()).default({}),
  })
}

/** Ease that can be aimed at. */
export const easeRange = { min: zero, max: mm(150) }
/** What a rule may add to a measurement. */
export const amountRange = { min: zero, max: mm(500) }
/** Panels that are used as they are cut. */
export const panelRange = { min: mm(20), max: mm(3000) }
/** Seam allowances that can be sewn. */
export const seamRange = { min: mm(1), max: mm(50) }

export type ReadSizing = z.output<ReturnType<typeof sizingSchema>>

/**
 * Drops what was not stated, and gives a rule the first measure of its family. The options of a maker’s own recipe are
 * taken from `ownOptions`, as the family read them.
 */
export function settleSizing(
  typed: ReadSizing,
  measures: readonly RuleMeasure[],
  ownOptions: Readonly<Record<string, unknown>>,
): Sizing {
  const [usual = 'wrap'] = measures
  switch (typed.mode) {
    case 'computed':
      return {
        mode: 'computed',
        ...(typed.easeWidth !== undefined && { easeWidth: typed.easeWidth }),
        ...(typed.easeHeight !== undefined && { easeHeight: typed.easeHeight }),
      }
    case 'rule':
      return { ...typed, measure: typed.measure ?? usual }
    case 'recipe': {
      if (typeof typed.recipe === 'string') return { mode: 'recipe', recipe: typed.recipe }
      const { seam, measure, ...own } = typed.recipe
      const recipe = {
        ...own,
        measure: measure ?? usual,
        options: ownOptions,
        ...(seam !== undefined && { seam }),
      }
      return { mode: 'recipe', recipe }
    }
    case 'cut':
      return typed
  }
}
