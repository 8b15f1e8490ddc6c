import { deleteCookie, getCookie, setCookie } from 'hono/cookie'
import type { Context } from 'hono'
import { isSecret } from '../db/repositories/secret.js'
import type { CallerEnv } from './guard.js'

/** A cookie that holds a secret: scripts cannot read it, and no page elsewhere can have it sent. */
export interface SecretCookie {
  /** Undefined where there is none, or what is there can be no secret of ours. */
  readonly read: (context: Context) => string | undefined
  readonly set: (context: Context, secret: string) => void
  readonly drop: (context: Context) => void
}

const daySeconds = 24 * 60 * 60

/** What a device is let in by. */
export const deviceCookie = secretCookie('snowdrift', 365)
/** What somebody is signed in by. */
export const sessionCookie = secretCookie('snowdrift-session', 60)
/** What a browser is known by in which somebody signed in before. */
export const browserCookie = secretCookie('snowdrift-browser', 365)

function secretCookie(name: string, days: number): SecretCookie {
  return {
    read: context => {
      const secret = getCookie(context, name, prefixOf(context))
      return secret !== undefined && isSecret(secret) ? secret : undefined
    },
    set: (context, secret) =>
      setCookie(context, name, secret, { ...attributesOf(context), maxAge: days * daySeconds }),
    drop: context => {
      deleteCookie(context, name, attributesOf(context))
    },
  }
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

/** A sealed address has cookies of its own that none but it can have set. */
function prefixOf(context: Context): 'host' | undefined {
  return (context as Context<CallerEnv>).var.caller.scheme === 'https' ? 'host' : undefined
}
