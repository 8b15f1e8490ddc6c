import { deleteCookie, getCookie, setCookie } from 'hono/cookie'
import type { Context } from 'hono'
import type { CallerEnv } from './guard.js'

const name = 'snowdrift'
const yearSeconds = 365 * 24 * 60 * 60

/** The token that a device came with. A sealed address has a cookie of its own that none but it can have set. */
export function readDeviceCookie(context: Context): string | undefined {
  return getCookie(context, name, prefixOf(context))
}

/** Scripts cannot read it, and no page elsewhere can have it sent. */
export function setDeviceCookie(context: Context, token: string): void {
  setCookie(context, name, token, { ...attributesOf(context), maxAge: yearSeconds })
}

export function dropDeviceCookie(context: Context): void {
  deleteCookie(context, name, attributesOf(context))
}

function attributesOf(context: Context) {
  const prefix = prefixOf(context)
  return {
    path: '/',
    httpOnly: true,
    sameSite: 'Strict' as const,
    secure: prefix !== undefined,
    ...(prefix && { prefix }),
  }
}

function prefixOf(context: Context): 'host' | undefined {
  return (context as Context<CallerEnv>).var.caller.scheme === 'https' ? 'host' : undefined
}
