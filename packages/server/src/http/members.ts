import { mayRoleChange } from '@snowdrift/core'
import type { MiddlewareHandler } from 'hono'
import type { SignedInPerson } from '../db/repositories/people/session-repository.js'
import type { PersonEnv, WorkshopEnv } from '../routes/workshop.js'
import { changing } from './guard.js'
import { answerProblem, type Failure } from './problems.js'

/** What is sent, and changes nothing of the workshop: a file made of what stands there, and having one made. */
const readsBySending = /^\/api\/(exports|errands)(\/|$)/

/** Of people only those who belong to a workshop come to its work, and only those change it who may. */
export const belonging: MiddlewareHandler<WorkshopEnv> = async (context, next) => {
  const { person } = context.var
  if (!person) return next()
  if (!person.workshop) return answerProblem(context, { kind: 'no-workshop' })
  const { method, path } = context.req
  const leaves = method === 'DELETE' && path === `/api/people/${person.id}`
  const changes = changing.has(method) && !readsBySending.test(path) && !leaves
  if (changes && !mayRoleChange(person.workshop.role)) return answerProblem(context, { kind: 'guest' })
  return next()
}

/**
 * Why somebody may not do what owners do; undefined where they may. Where it is strict, owners are who proved it by a passkey: by
 * something that they have, and by what they are or know.
 */
export function whyNoOwner({ workshop, byPasskey }: SignedInPerson, isStrict: boolean): Failure | undefined {
  if (workshop?.role !== 'owner') return { kind: 'owners-only' }
  return isStrict && !byPasskey ? { kind: 'passkey-needed' } : undefined
}

export function ownersOnly(isStrict: boolean): MiddlewareHandler<PersonEnv> {
  return async (context, next) => {
    const why = whyNoOwner(context.var.person, isStrict)
    return why ? answerProblem(context, why) : next()
  }
}

/** So long somebody is taken at their word. */
const confirmedMs = 10 * 60_000

/** What is hard to take back is done only by whoever proved a short while ago that it is they. */
export function confirmed(now: () => Date): MiddlewareHandler<PersonEnv> {
  return async (context, next) =>
    now().getTime() - context.var.person.confirmedAt.getTime() < confirmedMs
      ? next()
      : answerProblem(context, { kind: 'unconfirmed' })
}
