import type { z } from 'zod'
import type { Issue } from './issue.js'
import { describeSchemaIssues } from './schema-issues.js'

export type ReadResult<Value> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly issues: readonly Issue[] }

/** What a schema makes of an input, or what it finds wrong with it in our words. */
export function check<Value>(schema: z.ZodType<Value>, input: unknown): ReadResult<Value> {
  const parsed = schema.safeParse(input)
  return parsed.success
    ? { ok: true, value: parsed.data }
    : { ok: false, issues: describeSchemaIssues(parsed.error, input) }
}
