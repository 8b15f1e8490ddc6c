import { createHash, randomBytes } from 'node:crypto'

/** 256 bits: nobody comes by one by trying. */
const secretBytes = 32

/** What opens something to whoever has it. It is given away once; what is kept is its hash. */
export function createSecret(): string {
  return randomBytes(secretBytes).toString('base64url')
}

export function isSecret(text: string): boolean {
  return /^[A-Za-z0-9_-]{43}$/.test(text)
}

export function hashOf(secret: string): string {
  return createHash('sha256').update(secret).digest('base64')
}
