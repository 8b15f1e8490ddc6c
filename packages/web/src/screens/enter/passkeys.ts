import {
  browserSupportsWebAuthn,
  startAuthentication,
  startRegistration,
  type AuthenticationResponseJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/browser'
import type { FromPasskey } from '@snowdrift/core'
import type { Asked, AskedForNew } from '../../api/people-api'

/** Whether this browser, at this address, can hold passkeys. */
export const hasPasskeys = browserSupportsWebAuthn

/** What came of asking the browser: an answer for the server, or why there is none, in a sentence. */
export type FromBrowser =
  { readonly ok: true; readonly passkey: FromPasskey } | { readonly ok: false; readonly why: string }

export function makePasskey({ ceremony, options }: AskedForNew): Promise<FromBrowser> {
  return answered(ceremony, () => startRegistration({ optionsJSON: options }))
}

export function showPasskey({ ceremony, options }: Asked): Promise<FromBrowser> {
  return answered(ceremony, () => startAuthentication({ optionsJSON: options }))
}

async function answered(
  ceremony: string,
  ask: () => Promise<AuthenticationResponseJSON | RegistrationResponseJSON>,
): Promise<FromBrowser> {
  try {
    return { ok: true, passkey: { ceremony, response: { ...(await ask()) } } }
  } catch (error) {
    return { ok: false, why: passkeyWords((error as Error).name) }
  }
}

/** What it means that a browser gave no answer, by what it calls it. */
export function passkeyWords(name: string): string {
  switch (name) {
    case 'NotAllowedError':
    case 'AbortError':
      return 'No passkey was shown: it was stopped, took too long, or there is none here for this address.'
    case 'InvalidStateError':
      return 'This device has a passkey for you already.'
    case 'SecurityError':
      return 'At this address the browser holds no passkeys. Take a passphrase.'
    default:
      return 'The browser could not do that. Take a passphrase.'
  }
}
