import { z } from 'zod'

/**
 * Checks with a schema and keeps what was typed: “3/8” stays “3/8” where the schema itself would make a length of it.
 * What the schema finds wrong stands where it found it.
 */
export function asTyped<Schema extends z.ZodType>(schema: Schema) {
  return z
    .unknown()
    .superRefine(checkedBy(schema))
    .transform(typed => typed as z.input<Schema>)
}

/** A refinement by all that another schema asks for. */
export function checkedBy(schema: z.ZodType): (typed: unknown, context: z.RefinementCtx) => void {
  return (typed, context) => {
    for (const issue of schema.safeParse(typed).error?.issues ?? []) context.addIssue({ ...issue })
  }
}
