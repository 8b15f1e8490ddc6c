import { isoCBOR } from '@simplewebauthn/server/helpers'
import { createHash, generateKeyPairSync, randomBytes, sign, type KeyObject } from 'node:crypto'

/** What a browser is asked for a passkey, as far as an authenticator needs it. */
export interface Question {
  readonly challenge: string
}

/** A device that holds passkeys, as the standard has it: made and used without a browser. */
export interface Authenticator {
  readonly id: string
  readonly make: (question: Question, origin: string) => object
  /** With `changes` it does what an honest one does not. */
  readonly answer: (question: Question, origin: string, changes?: AnswerChanges) => object
}

export interface AnswerChanges {
  /** Whether its owner showed it who they are, by finger or PIN. */
  readonly isVerified?: boolean
  readonly counter?: number
  /** Whose key signs. */
  readonly key?: KeyObject
}

const isPresent = 0x01
const isVerifiedFlag = 0x04
const hasKeyFlag = 0x40

/** An ES256 key for one address, after https://www.w3.org/TR/webauthn-3/. */
export function createAuthenticator(): Authenticator {
  const { privateKey, publicKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' })
  const idBytes = randomBytes(32)
  const id = idBytes.toString('base64url')
  let counter = 0
  return {
    id,
    make: ({ challenge }, origin) => {
      const clientData = clientDataOf('webauthn.create', challenge, origin)
      const length = Buffer.alloc(2)
      length.writeUInt16BE(idBytes.length)
      const data = Buffer.concat([
        authenticatorData(origin, isPresent | isVerifiedFlag | hasKeyFlag, counter),
        Buffer.alloc(16),
        length,
        idBytes,
        coseKey(publicKey),
      ])
      const attestation = isoCBOR.encode(
        new Map<string, unknown>([
          ['fmt', 'none'],
          ['attStmt', new Map()],
          ['authData', new Uint8Array(data)],
        ]) as never,
      )
      return {
        id,
        rawId: id,
        type: 'public-key',
        clientExtensionResults: {},
        response: {
          clientDataJSON: clientData.toString('base64url'),
          attestationObject: Buffer.from(attestation).toString('base64url'),
          transports: ['internal'],
        },
      }
    },
    answer: ({ challenge }, origin, { isVerified = true, counter: said, key = privateKey } = {}) => {
      counter += 1
      const clientData = clientDataOf('webauthn.get', challenge, origin)
      const flags = isPresent | (isVerified ? isVerifiedFlag : 0)
      const data = authenticatorData(origin, flags, said ?? counter)
      const signature = sign('sha256', Buffer.concat([data, sha256(clientData)]), key)
      return {
        id,
        rawId: id,
        type: 'public-key',
        clientExtensionResults: {},
        response: {
          clientDataJSON: clientData.toString('base64url'),
          authenticatorData: data.toString('base64url'),
          signature: signature.toString('base64url'),
        },
      }
    },
  }
}

function clientDataOf(type: string, challenge: string, origin: string): Buffer {
  return Buffer.from(JSON.stringify({ type, challenge, origin, crossOrigin: false }))
}

function authenticatorData(origin: string, flags: number, counter: number): Buffer {
  const count = Buffer.alloc(4)
  count.writeUInt32BE(counter)
  return Buffer.concat([sha256(Buffer.from(new URL(origin).hostname)), Buffer.from([flags]), count])
}

/** The public half as COSE has it: kind 2 (elliptic), algorithm -7 (ES256), curve 1 (P-256), x and y. */
function coseKey(publicKey: KeyObject): Buffer {
  const { x = '', y = '' } = publicKey.export({ format: 'jwk' })
  return Buffer.from(
    isoCBOR.encode(
      new Map<number, number | Uint8Array>([
        [1, 2],
        [3, -7],
        [-1, 1],
        [-2, new Uint8Array(Buffer.from(x, 'base64url'))],
        [-3, new Uint8Array(Buffer.from(y, 'base64url'))],
      ]),
    ),
  )
}

function sha256(bytes: Buffer): Buffer {
  return createHash('sha256').update(bytes).digest()
}
