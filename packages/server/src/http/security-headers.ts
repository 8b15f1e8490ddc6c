import type { MiddlewareHandler } from 'hono'
import type { CallerEnv, Door } from './guard.js'

/**
 * The two style sheets that the chart library writes into the page, by what they say: nothing else may be written there.
 * With another version of it they change, and the browser test of the fit station names the new ones.
 */
const chartStyles = [
  "'sha256-TBymqJXQvXKxe+z+3ydUYBErlkFFu110c5FjiVB8p+M='",
  "'sha256-aSysLrDECVdJ6L+jLf8CC5QKLmwRuk/OZiZk9mYky8A='",
]

/** Everything comes from ourselves, nothing is framed, no script stands in a page. */
const contentSecurityPolicy = [
  "default-src 'none'",
  "script-src 'self'",
  `style-src 'self' ${chartStyles.join(' ')}`,
  "img-src 'self' data:",
  "font-src 'self'",
  "connect-src 'self'",
  "manifest-src 'self'",
  "worker-src 'self'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ')

const headers: readonly (readonly [string, string])[] = [
  ['Content-Security-Policy', contentSecurityPolicy],
  ['Cross-Origin-Resource-Policy', 'same-origin'],
  ['Referrer-Policy', 'no-referrer'],
  ['X-Content-Type-Options', 'nosniff'],
  ['X-Frame-Options', 'DENY'],
]

/** Heeded on addresses that a browser trusts; on others it complains of each. */
const openerPolicy = ['Cross-Origin-Opener-Policy', 'same-origin'] as const

/** Where it is hosted under an address of its own: nobody is led astray by a link without the s. */
const onlySealed = ['Strict-Transport-Security', 'max-age=31536000'] as const

/**
 * Sets the headers before there is an answer. The framework's own middleware changes the finished answer, which
 * makes the server build it as a stream: twice the work for every request.
 */
export function securityHeaders(door: Door): MiddlewareHandler<CallerEnv> {
  return async (context, next) => {
    for (const [name, value] of headers) context.header(name, value)
    if (door.origin?.startsWith('https:')) context.header(...onlySealed)
    if (door.lets === 'anybody' || context.var.caller.scheme === 'https') context.header(...openerPolicy)
    await next()
  }
}
