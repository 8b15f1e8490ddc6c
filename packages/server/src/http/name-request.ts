import type { Context } from 'hono'
import type { RequestIdVariables } from 'hono/request-id'

/** What the request is called, in its answer and in the log. */
export function requestOf(context: Context): string {
  return (context as Context<{ Variables: RequestIdVariables }>).get('requestId')
}

/** A request as the log names it. Whoever has a link may use it: its secret stays out, and so does what was asked for. */
export function nameRequest(context: Context) {
  const { method, path } = context.req
  return { request: requestOf(context), method, path: path.replace(/^(\/(?:api\/)?shared\/)[^/]+/, '$1…') }
}
