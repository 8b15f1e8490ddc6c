import type { MiddlewareHandler } from 'hono'
import { callerOf, isForwarded, type Caller, type CallerOptions } from './caller.js'
import { answerProblem } from './problems.js'

/** A way in to the server: what it is called there, and who comes in by it. */
export interface Door extends CallerOptions {
  /** Whether a host, without its port, is a name of this server. */
  readonly isOwnName: (host: string) => boolean
  /** Who is let in: whoever sits at this machine, devices that were paired, or people who sign in. */
  readonly lets: 'anybody' | 'devices' | 'people'
  /** Where it is reached and nowhere else, as browsers write it: https://covers.example. */
  readonly origin?: string
}

export interface CallerEnv {
  readonly Variables: { readonly caller: Caller }
}

/** Finds out who calls, for everything that comes after it. */
export function nameCaller(door: Door): MiddlewareHandler<CallerEnv> {
  return async (context, next) => {
    context.set('caller', callerOf(context, door))
    await next()
  }
}

export const changing: ReadonlySet<string> = new Set(['POST', 'PUT', 'PATCH', 'DELETE'])
const watched: ReadonlySet<string> = new Set(['/api/health', '/api/ready'])

/**
 * Answers only what is addressed to the server by a name of its own, and lets only our own pages change anything: a page
 * elsewhere could otherwise reach the server through somebody's browser, and with what that browser may do.
 */
export function guard(door: Door): MiddlewareHandler<CallerEnv> {
  return async (context, next) => {
    // Whoever comes through a proxy does not sit here, whatever their host says.
    if (door.lets === 'anybody' && isForwarded(context))
      return answerProblem(context, {
        kind: 'foreign',
        detail: 'No proxy may stand before this port. Put it before the one that other devices use.',
      })
    const { caller } = context.var
    // Whoever watches over it asks where it runs, and is told nothing of anybody.
    if (door.origin !== undefined && watched.has(context.req.path)) return next()
    if (door.origin !== undefined && door.origin !== `${caller.scheme}://${caller.host}`)
      return answerProblem(context, { kind: 'foreign', detail: `This server is reached at ${door.origin}.` })
    if (!door.isOwnName(nameOf(caller.host)))
      return answerProblem(context, {
        kind: 'foreign',
        detail:
          door.lets === 'devices'
            ? 'This server does not go by that name. Use an address that it shows under Settings.'
            : 'This server answers only to 127.0.0.1 and localhost.',
      })
    const origin = context.req.header('Origin')
    const site = context.req.header('Sec-Fetch-Site')
    const crossSite = site !== undefined && site !== 'same-origin' && site !== 'none'
    const otherOrigin = origin !== undefined && origin !== `${caller.scheme}://${caller.host}`
    if (changing.has(context.req.method) && (otherOrigin || crossSite))
      return answerProblem(context, {
        kind: 'foreign',
        detail: 'Only Snowdrift’s own pages may change anything.',
      })
    return next()
  }
}

function nameOf(host: string): string {
  return host.replace(/:\d+$/, '').toLowerCase()
}
