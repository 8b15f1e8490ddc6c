import type { Context } from 'hono'
import type { ReadResult } from '@snowdrift/core'
import type { Failure } from './problems.js'

export const mostBodyBytes = 256 * 1024

export type ReadBody<Value> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly failure: Failure }

/** Reads and checks a JSON body. */
export async function readBody<Value>(
  context: Context,
  read: (input: unknown) => ReadResult<Value>,
): Promise<ReadBody<Value>> {
  if (!/^application\/json\b/.test(context.req.header('Content-Type') ?? ''))
    return { ok: false, failure: { kind: 'wrong-type' } }
  const input = await context.req.json<unknown>().catch((error: unknown) => {
    if (error instanceof SyntaxError) return undefined
    throw error
  })
  if (input === undefined) return { ok: false, failure: { kind: 'not-json' } }
  const result = read(input)
  return result.ok ? result : { ok: false, failure: { kind: 'unreadable', issues: result.issues } }
}
