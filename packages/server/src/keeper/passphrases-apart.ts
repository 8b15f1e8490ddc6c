import { request } from 'node:http'
import { z } from 'zod'
import { pepperOf, TooManyWait, type Passphrases } from '../people/passphrases.js'

/** Whoever holds the secrets of passphrases is not there, or did not answer. */
export class KeeperAway extends Error {}

const longestMs = 10_000

const namesAnswer = z.object({ names: z.array(z.string()) })
const hashAnswer = z.object({ hashed: z.string() })
const fitsAnswer = z.object({ fits: z.boolean() })

/**
 * Passphrases looked at by a keeper at a Unix socket, so that this process never has the secrets that they are reckoned with.
 * While it is away every question ends in KeeperAway; once it is back, all is as before.
 */
export function passphrasesApart(socketPath: string): Passphrases {
  const ask = async <Answer>(path: string, answer: z.ZodType<Answer>, body?: object) => {
    const { status, text } = await send(socketPath, path, body)
    if (status === 503) throw new TooManyWait('too many passphrases at once')
    if (status !== 200) throw new Error(`The keeper of secrets answered ${status} to ${path}`)
    return answer.parse(JSON.parse(text))
  }
  const names = async () => (await ask('/names', namesAnswer)).names
  return {
    hash: async passphrase => (await ask('/hash', hashAnswer, { passphrase })).hashed,
    fits: async (passphrase, hashed) => (await ask('/fits', fitsAnswer, { passphrase, hashed })).fits,
    names,
    isOld: async hashed => pepperOf(hashed) !== ((await names())[0] ?? ''),
  }
}

/** One request, each on a connection of its own: none is kept that a keeper who begins anew would break. */
function send(
  socketPath: string,
  path: string,
  body: object | undefined,
): Promise<{ readonly status: number; readonly text: string }> {
  return new Promise((resolve, reject) => {
    const away = (error: Error) => reject(new KeeperAway(`${socketPath}: ${error.message}`))
    const asking = request(
      {
        ...{ socketPath, path, method: body ? 'POST' : 'GET', timeout: longestMs, agent: false },
        headers: { 'Content-Type': 'application/json' },
      },
      answering => {
        const parts: Buffer[] = []
        answering.on('data', (part: Buffer) => parts.push(part))
        answering.on('error', away)
        answering.on('end', () =>
          resolve({ status: answering.statusCode ?? 0, text: Buffer.concat(parts).toString('utf8') }),
        )
      },
    )
    asking.on('timeout', () => asking.destroy(new Error('no answer')))
    asking.on('error', away)
    asking.end(body && JSON.stringify(body))
  })
}
