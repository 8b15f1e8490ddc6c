import type { Context } from 'hono'
import { z } from 'zod'
import type { PageRequest } from '../db/repositories/page.js'
import type { Failure } from './problems.js'

export const longestPage = 500

const pageQuery = z.strictObject({
  after: z
    .string()
    .regex(/^\d{1,18}$/)
    .optional(),
  limit: z.coerce.number().int().min(1).max(longestPage).default(30),
})

/** Which page of a list is asked for, or what is wrong with the question. */
export function readPageQuery(
  context: Context,
): { readonly ok: true; readonly page: PageRequest } | { readonly ok: false; readonly failure: Failure } {
  const query = pageQuery.safeParse(context.req.query())
  if (!query.success)
    return {
      ok: false,
      failure: {
        kind: 'bad-request',
        detail: `A page takes limit (1 to ${longestPage}) and after, as the page before gave it.`,
      },
    }
  const { after, limit } = query.data
  return { ok: true, page: { limit, ...(after !== undefined && { after }) } }
}
