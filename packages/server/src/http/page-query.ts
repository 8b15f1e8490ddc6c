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

export const mostIds = 100

const idsQuery = z.strictObject({
  ids: z
    .string()
    .transform(text => text.split(','))
    .pipe(z.array(z.uuid()).min(1).max(mostIds)),
})

/** Which rows are asked for by their ids; undefined where a page is. */
export function readIdsQuery(
  context: Context,
):
  | { readonly ok: true; readonly ids: readonly string[] }
  | { readonly ok: false; readonly failure: Failure }
  | undefined {
  if (context.req.query('ids') === undefined) return undefined
  const query = idsQuery.safeParse(context.req.query())
  if (query.success) return { ok: true, ids: query.data.ids }
  const detail = `Rows are asked for by 1 to ${mostIds} ids, with commas between them, and nothing else.`
  return { ok: false, failure: { kind: 'bad-request', detail } }
}

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
