import { readNameBody, readRoleBody, type People } from '@snowdrift/core'
import { Hono, type Context } from 'hono'
import { z } from 'zod'
import type { Changed } from '../db/repositories/people/member-repository.js'
import { readBody } from '../http/body.js'
import { ownersOnly, whyNoOwner } from '../http/members.js'
import { readPageQuery } from '../http/page-query.js'
import { answerProblem } from '../http/problems.js'
import type { Accounts } from '../people/open-accounts.js'
import type { PersonEnv } from './workshop.js'

/** Who belongs to the workshop, who is invited to it, and what happened among them. */
export function createPeopleRoutes({ isStrict }: Pick<Accounts, 'isStrict'>): Hono<PersonEnv> {
  const answerChanged = (context: Context, changed: Changed) => {
    if (changed === 'missing') return answerProblem(context, { kind: 'missing', what: 'such person' })
    if (changed === 'last-owner')
      return answerProblem(context, {
        kind: 'in-the-way',
        detail:
          'A workshop needs an owner. Make somebody else one first, or delete your account with the workshop.',
      })
    return context.json({})
  }
  return new Hono<PersonEnv>()
    .get('/', async context => {
      const { workshop, person, repositories } = context.var
      const { members } = repositories.people
      const mine = person.workshop ?? { id: workshop, name: '', role: 'guest' as const }
      const isOwner = mine.role === 'owner'
      const [list, invitations] = await Promise.all([
        members.list(workshop),
        isOwner ? members.invitations(workshop) : [],
      ])
      return context.json({ workshop: mine, members: list, invitations } satisfies People)
    })
    .delete('/:id', async context => {
      const { workshop, person, repositories } = context.var
      const id = z.uuid().safeParse(context.req.param('id'))
      const isOneself = id.data === person.id
      if (!id.success) return answerChanged(context, 'missing')
      const why = isOneself ? undefined : whyNoOwner(person, isStrict)
      if (why) return answerProblem(context, why)
      const { members, audit } = repositories.people
      const changed = await members.remove(workshop, id.data)
      if (changed === 'done')
        await audit.note(workshop, isOneself ? 'left' : 'removed', {
          person: person.id,
          whom: isOneself ? null : id.data,
        })
      return answerChanged(context, changed)
    })
    .use(ownersOnly(isStrict))
    .put('/workshop', async context => {
      const body = await readBody(context, readNameBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { workshop, person, repositories } = context.var
      await repositories.people.members.rename(workshop, body.value.name)
      await repositories.people.audit.note(workshop, 'workshop-renamed', {
        person: person.id,
        detail: body.value.name,
      })
      return context.json({})
    })
    .put('/:id/role', async context => {
      const body = await readBody(context, readRoleBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { workshop, person, repositories } = context.var
      const id = z.uuid().safeParse(context.req.param('id'))
      const { role } = body.value
      const changed = id.success
        ? await repositories.people.members.setRole(workshop, id.data, role)
        : 'missing'
      if (changed === 'done')
        await repositories.people.audit.note(workshop, 'role-changed', {
          person: person.id,
          whom: id.data ?? null,
          detail: role,
        })
      return answerChanged(context, changed)
    })
    .post('/invitations', async context => {
      const body = await readBody(context, readRoleBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { workshop, person, repositories } = context.var
      const { members, audit } = repositories.people
      const invited = await members.invite(workshop, body.value.role)
      if (!invited)
        return answerProblem(context, {
          kind: 'in-the-way',
          detail: 'As many invitations as can be are open. Withdraw one first.',
        })
      await audit.note(workshop, 'invited', { person: person.id, detail: body.value.role })
      return context.json(invited, 201)
    })
    .delete('/invitations/:id', async context => {
      const { workshop, person, repositories } = context.var
      const id = z.uuid().safeParse(context.req.param('id'))
      const { members, audit } = repositories.people
      if (!id.success || !(await members.withdraw(workshop, id.data)))
        return answerProblem(context, { kind: 'missing', what: 'such invitation' })
      await audit.note(workshop, 'invitation-withdrawn', { person: person.id })
      return context.json({})
    })
    .get('/audit', async context => {
      const query = readPageQuery(context)
      if (!query.ok) return answerProblem(context, query.failure)
      const { workshop, repositories } = context.var
      return context.json(await repositories.people.audit.list(workshop, query.page))
    })
}
