import { z } from 'zod'
import { findFamily } from '../families/registry.js'
import type { TypedRecipe } from '../file/cover-schema.js'
import { ownRecipeSchema } from '../file/sizing-schema.js'
import { units, type Unit } from '../length/unit.js'
import { asTyped } from './as-typed.js'
import type { ReadResult } from '../file/check.js'
import { bodyReader, ownUnit, rowSchema, typedColumn, type BodyOf, type RowOf } from './columns.js'
import { onceFor } from './once-for.js'

/** What a rule says beside its name. */
export type TypedRule = Omit<TypedRecipe, 'name'>

const ruleSchema = onceFor((unit: Unit) => ownRecipeSchema(unit).omit({ name: true }))

/** A rule of the maker’s own, kept under a name for one way of making. Its bare lengths are in `unit`. */
export const ruleColumns = {
  name: typedColumn('text', z.string(), () => z.string().trim().min(1).max(120)),
  family: typedColumn('text', z.string(), () => z.string().max(60)),
  unit: typedColumn('text', z.enum(units)),
  rule: typedColumn('json', z.custom<TypedRule>(isRecord), unit => asTyped(ruleSchema(unit))),
}
export const ruleRow = rowSchema(ruleColumns)
export type RuleRow = RowOf<typeof ruleColumns>
export type RuleBody = BodyOf<typeof ruleColumns>

const readBody = bodyReader(ruleColumns, ownUnit)

/** Reads a rule as the browser sends it: one that a way of making can follow. */
export function readRuleBody(input: unknown): ReadResult<RuleBody> {
  const read = readBody(input)
  if (!read.ok) return read
  const { family: id, unit, rule } = read.value
  const family = findFamily(id)
  if (!family) return refuse('family', `There is no way of making called “${id}”.`)
  const { measure = family.ruleMeasures[0], options = {} } = rule
  if (!family.ruleMeasures.some(known => known === measure)) {
    const [first] = family.ruleMeasures
    const wanted = first ? `Add to ${family.ruleMeasures.join(' or ')}.` : 'It is sized without rules.'
    return refuse('rule.measure', `A rule for ${id} cannot add to ${measure ?? 'anything'}. ${wanted}`)
  }
  const optionsRead = family.options(unit).safeParse(options)
  return optionsRead.success ? read : refuse('rule.options', `They are not options of ${id}.`)
}

function refuse(path: string, message: string): ReadResult<never> {
  return { ok: false, issues: [{ path, message }] }
}

function isRecord(value: unknown): boolean {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
