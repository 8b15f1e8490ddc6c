import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type AuthenticatorTransport,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server'
import type { FromPasskey } from '@snowdrift/core'
import type { PasskeyRepository, StoredPasskey } from '../db/repositories/people/passkey-repository.js'

/** Whom a passkey is to be made for. */
export interface NewOwner {
  readonly id: string
  readonly signInName: string
  readonly name: string
}

/** What a browser is asked, and under which id its answer is expected. */
export interface Asked<Options> {
  readonly ceremony: string
  readonly options: Options
}

/** A passkey that was just made, before it is anybody’s. */
export interface MadePasskey {
  readonly personId: string
  readonly credentialId: string
  readonly publicKey: Buffer
  readonly counter: number
  readonly transports: readonly string[]
}

/** The side that asks for passkeys: each is made for its address, and proves nothing anywhere else. */
export interface RelyingParty {
  readonly askForNew: (
    passkeys: PasskeyRepository,
    owner: NewOwner,
  ) => Promise<Asked<PublicKeyCredentialCreationOptionsJSON>>
  /** Undefined where the answer is to no question of ours, or does not prove what it says. */
  readonly readNew: (passkeys: PasskeyRepository, answer: FromPasskey) => Promise<MadePasskey | undefined>
  /** Of one person’s passkeys, or of whoever’s the browser has. */
  readonly ask: (
    passkeys: PasskeyRepository,
    person?: string,
  ) => Promise<Asked<PublicKeyCredentialRequestOptionsJSON>>
  /** Whose passkey answered; undefined where it proves nothing. */
  readonly read: (passkeys: PasskeyRepository, answer: FromPasskey) => Promise<string | undefined>
}

export function createRelyingParty(url: string): RelyingParty {
  const rpID = new URL(url).hostname
  const expected = { expectedOrigin: url, expectedRPID: rpID, requireUserVerification: true }
  return {
    askForNew: async (passkeys, owner) => {
      const known = await passkeys.list(owner.id)
      const options = await generateRegistrationOptions({
        rpName: 'Snowdrift',
        rpID,
        userName: owner.signInName,
        userDisplayName: owner.name,
        userID: new TextEncoder().encode(owner.id),
        attestationType: 'none',
        excludeCredentials: known.map(({ credentialId: id }) => ({ id })),
        authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
      })
      const { challenge } = options
      const ceremony = await passkeys.beginCeremony({ challenge, purpose: 'add', personId: owner.id })
      return { ceremony, options }
    },
    readNew: async (passkeys, { ceremony, response }) => {
      const asked = await passkeys.takeCeremony(ceremony, 'add')
      if (!asked?.personId) return undefined
      const found = await verifyRegistrationResponse({
        response: response as unknown as RegistrationResponseJSON,
        expectedChallenge: asked.challenge,
        ...expected,
      }).catch(() => undefined)
      if (!found?.verified) return undefined
      const { id, publicKey, counter, transports = [] } = found.registrationInfo.credential
      // Whoever makes a key says what it is called: nobody is to take the name of another's.
      if (await passkeys.findByCredential(id)) return undefined
      return {
        personId: asked.personId,
        credentialId: id,
        publicKey: Buffer.from(publicKey),
        counter,
        transports,
      }
    },
    ask: async (passkeys, person) => {
      const known = person === undefined ? [] : await passkeys.list(person)
      const options = await generateAuthenticationOptions({
        rpID,
        userVerification: 'required',
        allowCredentials: known.map(({ credentialId: id, transports }) => ({
          id,
          transports: transports as AuthenticatorTransport[],
        })),
      })
      const { challenge } = options
      const ceremony = await passkeys.beginCeremony({ challenge, purpose: 'show', personId: person ?? null })
      return { ceremony, options }
    },
    read: async (passkeys, { ceremony, response }) => {
      const asked = await passkeys.takeCeremony(ceremony, 'show')
      const passkey = asked && (await passkeys.findByCredential(response.id))
      if (!passkey || (asked.personId !== null && asked.personId !== passkey.personId)) return undefined
      const found = await verifyAuthenticationResponse({
        response: response as unknown as AuthenticationResponseJSON,
        expectedChallenge: asked.challenge,
        credential: credentialOf(passkey),
        ...expected,
      }).catch(() => undefined)
      if (!found?.verified) return undefined
      await passkeys.used(passkey.id, found.authenticationInfo.newCounter)
      return passkey.personId
    },
  }
}

function credentialOf({ credentialId: id, publicKey, counter, transports }: StoredPasskey) {
  return {
    id,
    publicKey: new Uint8Array(publicKey),
    counter: Number(counter),
    transports: transports as AuthenticatorTransport[],
  }
}
