import {
  readNameBody,
  readNewPasskeyBody,
  readNewPassphraseBody,
  readProofBody,
  readTokenBody,
  readUpToBody,
  type Account,
  type AccountEventKind,
} from '@snowdrift/core'
import { Hono, type Context } from 'hono'
import { z } from 'zod'
import { readPasskey } from '../db/repositories/people/passkey-repository.js'
import { readBody } from '../http/body.js'
import { confirmed } from '../http/members.js'
import { answerProblem } from '../http/problems.js'
import { orRefused, Refused } from '../http/refused.js'
import { browserCookie, sessionCookie } from '../http/secret-cookies.js'
import { tryOut } from '../http/tries.js'
import type { Accounts } from '../people/open-accounts.js'
import { weaknessIn } from './enter-routes.js'
import type { PersonEnv } from './workshop.js'

export interface AccountRoutes extends Pick<Accounts, 'tries' | 'relyingParty' | 'passphrases'> {
  readonly now: () => Date
}

const mostPasskeys = 20

/** Somebody about themselves: what they sign in by, where they are signed in, what they belong to, and how they leave. */
export function createAccountRoutes({
  tries,
  relyingParty,
  passphrases,
  now,
}: AccountRoutes): Hono<PersonEnv> {
  const isConfirmed = confirmed(now)
  return new Hono<PersonEnv>()
    .get('/', async context => context.json(await accountOf(context)))
    .get('/news', async context => {
      const { person, repositories } = context.var
      const browser = browserCookie.read(context)
      const events = browser === undefined ? [] : await repositories.people.news.untold(person.id, browser)
      return context.json({ events })
    })
    .post('/news/read', async context => {
      const body = await readBody(context, readUpToBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { person, repositories } = context.var
      const browser = browserCookie.read(context)
      if (browser !== undefined) await repositories.people.news.told(person.id, browser, body.value.upTo)
      return context.json({})
    })
    .put('/name', async context => {
      const body = await readBody(context, readNameBody)
      if (!body.ok) return answerProblem(context, body.failure)
      await context.var.repositories.people.persons.rename(context.var.person.id, body.value.name)
      return context.json({})
    })
    .post('/questions', async context => {
      const { person, repositories } = context.var
      return context.json(await relyingParty.ask(repositories.people.passkeys, person.id))
    })
    .post('/confirm', async context => {
      const body = await readBody(context, readProofBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { person, repositories } = context.var
      const { persons, passkeys, sessions, audit } = repositories.people
      const counted = { name: `confirm ${person.id}` }
      const wait = await tries.take(counted)
      if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
      const known = await persons.find(person.id)
      const proof = body.value
      const isThem =
        'passkey' in proof
          ? (await relyingParty.read(passkeys, proof.passkey)) === person.id
          : await tryOut(tries, counted, () =>
              passphrases.fits(proof.passphrase, known?.passphraseHash ?? null),
            )
      if (!isThem) {
        await audit.noteOf(person.id, 'sign-in-failed')
        return answerProblem(context, { kind: 'wrong-proof' })
      }
      await tries.giveBack(counted)
      await sessions.confirm(person.session, 'passkey' in proof)
      return context.json({})
    })
    .put('/passphrase', isConfirmed, async context => {
      const body = await readBody(context, readNewPassphraseBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { person, repositories } = context.var
      const known = await repositories.people.persons.find(person.id)
      const weak = await weaknessIn(body.value.passphrase, [known?.signInName ?? '', person.name])
      if (weak) return answerProblem(context, weak)
      const passphraseHash = await passphrases.hash(body.value.passphrase)
      await repositories.together(async ({ people }) => {
        await people.persons.setPassphrase(person.id, passphraseHash)
        // Who came in by the old one is out, and this place has a token that nobody saw before.
        await people.sessions.endAll(person.id, person.session)
        await people.audit.noteOf(person.id, 'passphrase-changed')
        await people.news.note(await newsOf(context, 'passphrase-changed'))
      })
      await renewSession(context)
      return context.json({})
    })
    .post('/passkeys/questions', isConfirmed, async context => {
      const { person, repositories } = context.var
      const { persons, passkeys } = repositories.people
      const known = await persons.find(person.id)
      const owner = { id: person.id, name: person.name, signInName: known?.signInName ?? person.name }
      return context.json(await relyingParty.askForNew(passkeys, owner))
    })
    .post('/passkeys', isConfirmed, async context => {
      const body = await readBody(context, readNewPasskeyBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { person, repositories } = context.var
      const { passkeys, audit, news } = repositories.people
      if ((await passkeys.list(person.id)).length >= mostPasskeys)
        return answerProblem(context, {
          kind: 'in-the-way',
          detail: `You have ${mostPasskeys} passkeys. Take one away first.`,
        })
      const made = await relyingParty.readNew(passkeys, body.value.passkey)
      if (made?.personId !== person.id) return answerProblem(context, { kind: 'wrong-proof' })
      const passkey = await passkeys.add({ ...made, name: body.value.passkeyName })
      await audit.noteOf(person.id, 'passkey-added')
      await news.note(await newsOf(context, 'passkey-added'))
      return context.json(passkey, 201)
    })
    .delete('/passkeys/:id', isConfirmed, async context => {
      const { person, repositories } = context.var
      const id = z.uuid().safeParse(context.req.param('id'))
      return orRefused(context, () =>
        repositories.together(async ({ people }) => {
          const gone = id.success && (await people.passkeys.remove(person.id, id.data))
          if (!gone) throw new Refused({ kind: 'missing', what: 'such passkey' })
          const known = await people.persons.find(person.id)
          if (!known?.passphraseHash && (await people.passkeys.list(person.id)).length === 0)
            throw new Refused({
              kind: 'in-the-way',
              detail: 'It is the last by which you can sign in. Choose a passphrase first.',
            })
          await people.audit.noteOf(person.id, 'passkey-removed')
          await people.news.note(await newsOf(context, 'passkey-removed'))
          return context.json({})
        }),
      )
    })
    .post('/codes', isConfirmed, async context => {
      const { person, repositories } = context.var
      const codes = await repositories.people.persons.makeCodes(person.id)
      await repositories.people.audit.noteOf(person.id, 'codes-made')
      await repositories.people.news.note(await newsOf(context, 'codes-made'))
      return context.json({ codes }, 201)
    })
    .delete('/sessions/:id', async context => {
      const { person, repositories } = context.var
      const id = z.uuid().safeParse(context.req.param('id'))
      if (!id.success || !(await repositories.people.sessions.end(person.id, id.data)))
        return answerProblem(context, { kind: 'missing', what: 'such place' })
      await repositories.people.audit.noteOf(person.id, 'signed-out')
      if (id.data === person.session) sessionCookie.drop(context)
      return context.json({})
    })
    .delete('/sessions', async context => {
      const { person, repositories } = context.var
      await repositories.people.sessions.endAll(person.id)
      await repositories.people.audit.noteOf(person.id, 'signed-out-everywhere')
      sessionCookie.drop(context)
      return context.json({})
    })
    .post('/join', async context => {
      const body = await readBody(context, readTokenBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { person, repositories, caller } = context.var
      const wait = await tries.take({ address: caller.network })
      if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
      return orRefused(context, async () => {
        await repositories.together(async ({ people: { members, audit, sessions } }) => {
          const invitation = await members.takeInvitation(body.value.token)
          if (!invitation) throw new Refused({ kind: 'link-gone' })
          const { workshop, role } = invitation
          if (!(await members.add(workshop.id, person.id, role)))
            throw new Refused({ kind: 'in-the-way', detail: `You belong to “${workshop.name}” already.` })
          await sessions.enter(person.session, workshop.id)
          await audit.note(workshop.id, 'joined', { person: person.id, detail: role })
        })
        await tries.giveBack({ address: caller.network })
        return context.json({})
      })
    })
    .put('/workshop/:id', async context => {
      const { person, repositories } = context.var
      const { members, sessions } = repositories.people
      const wanted = (await members.workshopsOf(person.id)).find(({ id }) => id === context.req.param('id'))
      if (!wanted) return answerProblem(context, { kind: 'missing', what: 'such workshop' })
      await sessions.enter(person.session, wanted.id)
      return context.json(wanted)
    })
    .delete('/', isConfirmed, async context => {
      const { person, repositories } = context.var
      await repositories.together(async ({ people }) => {
        await people.audit.noteOf(person.id, 'account-deleted')
        await people.members.removeOwnedAlone(person.id)
        await people.persons.remove(person.id)
      })
      sessionCookie.drop(context)
      return context.json({})
    })
}

async function accountOf(context: Context<PersonEnv>): Promise<Account> {
  const { person, repositories } = context.var
  const { persons, passkeys, sessions, members } = repositories.people
  const [known, keys, places, codes, workshops] = await Promise.all([
    persons.find(person.id),
    passkeys.list(person.id),
    sessions.list(person.id, person.session),
    persons.codesLeft(person.id),
    members.workshopsOf(person.id),
  ])
  return {
    id: person.id,
    signInName: known?.signInName ?? '',
    name: person.name,
    hasPassphrase: known?.passphraseHash != null,
    passkeys: keys.map(readPasskey),
    sessions: places,
    recoveryCodesLeft: codes,
    workshops,
  }
}

/** What was done to the account of whoever asks, and where. */
async function newsOf(context: Context<PersonEnv>, what: AccountEventKind) {
  const { person, repositories } = context.var
  const here = (await repositories.people.sessions.list(person.id, person.session)).find(
    ({ isThis }) => isThis,
  )
  return { person: person.id, what, device: here?.device ?? '', browser: browserCookie.read(context) }
}

/** Another token in place of the one that the browser has. */
async function renewSession(context: Context<PersonEnv>): Promise<void> {
  const { person, repositories } = context.var
  const { sessions } = repositories.people
  const device = (await sessions.list(person.id, person.session)).find(({ isThis }) => isThis)?.device ?? ''
  await sessions.end(person.id, person.session)
  const begun = {
    person: person.id,
    workshop: person.workshop?.id ?? null,
    device,
    byPasskey: person.byPasskey,
  }
  sessionCookie.set(context, await sessions.begin(begun))
}
