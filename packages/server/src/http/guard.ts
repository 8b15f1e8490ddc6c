import type { MiddlewareHandler } from 'hono'
import { answerProblem } from './problems.js'

const loopbackNames = new Set(['127.0.0.1', 'localhost', '[::1]'])
const changing = new Set(['POST', 'PUT', 'PATCH', 'DELETE'])

/**
 * Answers only what is addressed to loopback by name, and lets only our own pages change anything: a page elsewhere
 * could otherwise reach the server through the maker's browser.
 */
export const guard: MiddlewareHandler = async (context, next) => {
  const host = context.req.header('Host') ?? ''
  if (!loopbackNames.has(nameOf(host)))
    return answerProblem(context, {
      kind: 'foreign',
      detail: 'This server answers only to 127.0.0.1 and localhost.',
    })
  const origin = context.req.header('Origin')
  const site = context.req.header('Sec-Fetch-Site')
  const crossSite = site !== undefined && site !== 'same-origin' && site !== 'none'
  const otherOrigin = origin !== undefined && origin !== `http://${host}`
  if (changing.has(context.req.method) && (otherOrigin || crossSite))
    return answerProblem(context, {
      kind: 'foreign',
      detail: 'Only Snowdrift’s own pages may change anything.',
    })
  return next()
}

function nameOf(host: string): string {
  return host.replace(/:\d+$/, '').toLowerCase()
}
