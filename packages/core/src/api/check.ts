import type { z } from 'zod'
import type { ReadResult } from '../file/read-cover.js'
import { describeSchemaIssues } from '../file/schema-issues.js'

/** What a schema makes of an input, or what it finds wrong with it in our words. */
export function check<Value>(schema: z.ZodType<Value>, input: unknown): ReadResult<Value> {
  const parsed = schema.safeParse(input)
  return parsed.success
    ? { ok: true, value: parsed.data }
    : { ok: false, issues: describeSchemaIssues(parsed.error, input) }
}
