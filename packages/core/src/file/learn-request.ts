import { z } from 'zod'
import { verdicts } from '../fit/verdict.js'
import { directions, type MakeRecord } from '../make/learning/make-record.js'
import { stepKinds } from '../make/step.js'
import { check, type ReadResult } from './check.js'
import { show } from './schema-issues.js'
import type { Issue } from './issue.js'

const mostMakes = 10_000

function byDirection<Value extends z.ZodType>(value: Value) {
  return z
    .strictObject({ width: value.optional(), height: value.optional() })
    .default({})
    .transform(given => Object.fromEntries(directions.flatMap(key => known(key, given[key]))))
}

const known = <Value>(key: string, value: Value | undefined) =>
  value === undefined ? [] : [[key, value] as const]

const size = z.number().positive().max(10_000)
const minutes = z.number().min(0).max(100_000)
const count = z.int().min(0).max(100)

const makeSchema = z.strictObject({
  id: z.string().trim().min(1).max(80),
  cutMm: byDirection(size),
  plannedCutMm: byDirection(size),
  sewnMm: byDirection(size),
  allowancesMm: byDirection(z.number().min(0).max(10_000)),
  edges: byDirection(count),
  seams: byDirection(count),
  easePlannedMm: byDirection(z.number().min(-1000).max(1000)),
  wentOn: byDirection(z.enum(verdicts)),
  fit: z.boolean().optional(),
  chance: z.number().min(0).max(1).optional(),
  minutes: z
    .partialRecord(z.enum(stepKinds), z.strictObject({ planned: minutes, took: minutes }))
    .default({}),
})

/** What `learn` reads. */
export const learnRequestSchema = z.strictObject({
  makes: z.array(makeSchema).max(mostMakes),
  level: z.number().min(0.5).max(0.999).default(0.9),
})

export interface LearnRequest {
  readonly makes: readonly MakeRecord[]
  readonly level: number
}

/** Reads makes to learn from. Every problem names its place; nothing is learnt of a bad list. */
export function readLearnRequest(input: unknown): ReadResult<LearnRequest> {
  const read = check(learnRequestSchema, input)
  if (!read.ok) return read
  const makes = read.value.makes as readonly MakeRecord[]
  const issues = sameIds(makes)
  return issues.length > 0 ? { ok: false, issues } : { ok: true, value: { ...read.value, makes } }
}

function sameIds(makes: readonly MakeRecord[]): readonly Issue[] {
  const seen = new Set<string>()
  return makes.flatMap(({ id }, index) => {
    if (!seen.has(id)) {
      seen.add(id)
      return []
    }
    const message = `There is a make ${show(id)} already; each counts once and has an id of its own.`
    return [{ path: `makes[${index}].id`, message }]
  })
}
