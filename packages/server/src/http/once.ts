import { createHash } from 'node:crypto'
import type { Context } from 'hono'
import { z } from 'zod'
import type { StoredAnswer } from '../db/repositories/answer-repository.js'
import type { Repositories } from '../db/repositories/repositories.js'
import type { Written } from '../db/repositories/written.js'
import type { WorkshopEnv } from '../routes/workshop.js'
import { answerProblem, type Failure } from './problems.js'
import { orRefused, Refused } from './refused.js'
import { formatEtag } from './version.js'

/** What comes of a write: what is answered, or why it was refused. */
export type Outcome =
  ({ readonly kind: 'done' } & StoredAnswer) | { readonly kind: 'refused'; readonly failure: Failure }

/**
 * Does a write once: all of it or nothing, in one transaction. Where the request carries an Idempotency-Key, its answer
 * is kept with what was written, and whoever asks again with that key is given the same answer, however often and however
 * soon. `said` is what the request said, so that one key cannot stand for two requests. What is refused may be asked anew.
 */
export async function once(
  context: Context<WorkshopEnv>,
  said: unknown,
  write: (repositories: Repositories) => Promise<Outcome>,
): Promise<Response> {
  const { repositories, workshop } = context.var
  const key = context.req.header('Idempotency-Key')
  if (key !== undefined && !z.uuid().safeParse(key).success)
    return answerProblem(context, {
      kind: 'bad-request',
      detail: 'An Idempotency-Key is a UUID, a new one for each write.',
    })
  return orRefused(context, async () => {
    const answer = await repositories.together(async inside => {
      if (key === undefined) return doneOf(await write(inside))
      const claim = await inside.answers.claim(workshop, key, fingerprintOf(context, said))
      if (claim.kind === 'again') return claim.answer
      if (claim.kind === 'other') throw new Refused({ kind: 'key-taken' })
      const done = doneOf(await write(inside))
      await inside.answers.keep(workshop, key, done)
      return done
    })
    return answerDone(context, answer)
  })
}

/** The outcome of a write that was based on a version; `what` is what the row is called. */
export function outcomeOf<Row extends { readonly version: number }>(
  written: Written<Row>,
  what: string,
): Outcome {
  switch (written.kind) {
    case 'written':
      return done(written.row)
    case 'stale':
      return { kind: 'refused', failure: written }
    case 'missing':
      return refusedAsMissing(what)
  }
}

export function done(row: { readonly version: number }, status: 200 | 201 = 200): Outcome {
  return { kind: 'done', status, body: row, version: row.version }
}

export function refusedAsMissing(what: string): Outcome {
  return { kind: 'refused', failure: { kind: 'missing', what } }
}

function doneOf(outcome: Outcome): StoredAnswer {
  if (outcome.kind === 'refused') throw new Refused(outcome.failure)
  const { kind: _kind, ...answer } = outcome
  return answer
}

function answerDone(context: Context, { status, body, version }: StoredAnswer): Response {
  return context.json(body as object, status, version === undefined ? {} : { ETag: formatEtag(version) })
}

function fingerprintOf(context: Context, said: unknown): string {
  const { method, path } = context.req
  const ifMatch = context.req.header('If-Match') ?? ''
  const content = Buffer.isBuffer(said) ? said : JSON.stringify(said ?? null)
  return createHash('sha256').update(`${method} ${path} ${ifMatch}\n`).update(content).digest('base64')
}
