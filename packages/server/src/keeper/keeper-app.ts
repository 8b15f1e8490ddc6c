import { Hono } from 'hono'
import { bodyLimit } from 'hono/body-limit'
import { z } from 'zod'
import type { Log } from '../log.js'
import { TooManyWait, type Passphrases } from '../people/passphrases.js'

const passphrase = z.string().min(1).max(1024)
const hashBody = z.strictObject({ passphrase })
const fitsBody = z.strictObject({ passphrase, hashed: z.string().max(1024).nullable() })

/** What is asked of a keeper: far more than a passphrase and a hash take. */
const mostBytes = 16 * 1024

/**
 * Looks at passphrases for whoever may open its socket. It gives hashes and answers; the secrets that it reckons with are in
 * none of them.
 */
export function createKeeper(passphrases: Passphrases, log: Log): Hono {
  return new Hono()
    .use(bodyLimit({ maxSize: mostBytes, onError: context => context.json({ title: 'Too large' }, 413) }))
    .get('/names', async context => context.json({ names: await passphrases.names() }))
    .post('/hash', async context => {
      const body = hashBody.parse(await context.req.json())
      return context.json({ hashed: await passphrases.hash(body.passphrase) })
    })
    .post('/fits', async context => {
      const body = fitsBody.parse(await context.req.json())
      return context.json({ fits: await passphrases.fits(body.passphrase, body.hashed) })
    })
    .onError((error, context) => {
      if (error instanceof TooManyWait) return context.json({ title: 'Busy' }, 503)
      // what was sent may be a passphrase: of it nothing is said or noted
      if (error instanceof z.ZodError || error instanceof SyntaxError)
        return context.json({ title: 'Not understood' }, 400)
      log.error({ error: error.message }, 'a passphrase could not be looked at')
      return context.json({ title: 'Failed' }, 500)
    })
}
