import { z } from 'zod'
import { ruleMeasures, type Sizing } from '../fit/sizing.js'
import { mm, zero } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import { lengthInput } from '../length/length-input.js'

/** How the cut is found: computed from need and ease, by a rule, or by a recipe. Without a mode it is computed. */
export function sizingSchema(unit: Unit) {
  const ease = lengthInput(unit, { min: zero, max: mm(150) }).optional()
  const amount = lengthInput(unit, { min: zero, max: mm(500) })
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
  const recipe = z.strictObject({ mode: z.literal('recipe'), recipe: z.string().max(60) })
  return z.discriminatedUnion('mode', [computed, rule, recipe])
}

export type ReadSizing = z.output<ReturnType<typeof sizingSchema>>

/** Drops what was not stated, and gives a rule the first measure of its family. */
export function settleSizing(typed: ReadSizing, measures: readonly (typeof ruleMeasures)[number][]): Sizing {
  switch (typed.mode) {
    case 'computed':
      return {
        mode: 'computed',
        ...(typed.easeWidth !== undefined && { easeWidth: typed.easeWidth }),
        ...(typed.easeHeight !== undefined && { easeHeight: typed.easeHeight }),
      }
    case 'rule':
      return { ...typed, measure: typed.measure ?? measures[0] ?? 'wrap' }
    case 'recipe':
      return typed
  }
}
