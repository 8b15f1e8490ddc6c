import {
  readJoinBody,
  readRecoverBody,
  readSignInBody,
  readStrengthBody,
  readTokenBody,
  type Invited,
  type JoinBody,
} from '@snowdrift/core'
import { Hono, type Context } from 'hono'
import { randomUUID } from 'node:crypto'
import type { PeopleRepositories } from '../db/repositories/people/people-repositories.js'
import { readBody } from '../http/body.js'
import { answerProblem, type Failure } from '../http/problems.js'
import { orRefused, Refused } from '../http/refused.js'
import { browserCookie } from '../http/secret-cookies.js'
import { tryOut } from '../http/tries.js'
import type { Accounts } from '../people/open-accounts.js'
import { strengthOf, weaknessOf } from '../people/passphrases.js'
import { signIn } from '../people/sign-in.js'
import type { Log } from '../log.js'
import type { WorkshopEnv } from './workshop.js'

export interface EnterRoutes extends Pick<Accounts, 'tries' | 'relyingParty' | 'passphrases'> {
  readonly log: Log
}

/** Asked for in place of whoever is not there, so that it takes as long. */
const nobody = '00000000-0000-0000-0000-000000000000'

/** How people come in: by an invitation, by what they chose then, or by a code when all of that is lost. */
export function createEnterRoutes({ tries, relyingParty, passphrases, log }: EnterRoutes): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>()
    .post('/invitation', async context => {
      const body = await readBody(context, readTokenBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { network: address } = context.var.caller
      const wait = await tries.take({ address })
      if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
      const invitation = await context.var.repositories.people.members.findInvitation(body.value.token)
      if (!invitation) return answerProblem(context, { kind: 'link-gone' })
      await tries.giveBack({ address })
      const { workshop, role } = invitation
      return context.json({ workshop: workshop.name, role } satisfies Invited)
    })
    .post('/questions/new', async context => {
      const body = await readBody(context, readTokenBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { people } = context.var.repositories
      const wait = await tries.take({ questions: context.var.caller.network })
      if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
      if (!(await people.members.findInvitation(body.value.token)))
        return answerProblem(context, { kind: 'link-gone' })
      // What a device shows beside the key is chosen before there is a name.
      const owner = { id: randomUUID(), signInName: 'Snowdrift', name: 'Snowdrift' }
      return context.json(await relyingParty.askForNew(people.passkeys, owner))
    })
    .post('/questions', async context => {
      const wait = await tries.take({ questions: context.var.caller.network })
      if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
      return context.json(await relyingParty.ask(context.var.repositories.people.passkeys))
    })
    .post('/strength', async context => {
      const body = await readBody(context, readStrengthBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const wait = await tries.take({ strengths: context.var.caller.network })
      if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
      return context.json(await strengthOf(body.value.passphrase, body.value.own))
    })
    .post('/join', async context => {
      const body = await readBody(context, readJoinBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const joining = body.value
      const { network: address } = context.var.caller
      const wait = await tries.take({ address })
      if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
      const weak =
        'passphrase' in joining && (await weaknessIn(joining.passphrase, [joining.signInName, joining.name]))
      if (weak) return answerProblem(context, weak)
      return orRefused(context, async () => {
        const { repositories } = context.var
        const passkey =
          'passkey' in joining
            ? await relyingParty.readNew(repositories.people.passkeys, joining.passkey)
            : undefined
        if ('passkey' in joining && !passkey) throw new Refused({ kind: 'wrong-proof' })
        const passphraseHash =
          'passphrase' in joining
            ? await tryOut(tries, { address }, () => passphrases.hash(joining.passphrase))
            : null
        const id = passkey?.personId ?? randomUUID()
        const codes = await repositories.together(async ({ people }) => {
          const made = await join(people, joining, { id, passphraseHash })
          if (passkey && 'passkeyName' in joining)
            await people.passkeys.add({ ...passkey, name: joining.passkeyName })
          return made
        })
        await tries.giveBack({ address })
        await signIn(context, { id, device: joining.device, byPasskey: passkey !== undefined })
        return context.json({ codes }, 201)
      })
    })
    .post('/', async context => {
      const body = await readBody(context, readSignInBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { repositories, caller } = context.var
      const { people } = repositories
      if ('passkey' in body.value) {
        const wait = await tries.take({ address: caller.network })
        if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
        const person = await relyingParty.read(people.passkeys, body.value.passkey)
        if (person === undefined) return answerProblem(context, { kind: 'wrong-proof' })
        await tries.giveBack({ address: caller.network })
        return signedIn(context, { id: person, device: body.value.device, byPasskey: true })
      }
      const { signInName, passphrase, device } = body.value
      const person = await people.persons.findBySignInName(signInName)
      const counted = await countedFor(context, signInName, person?.id)
      const wait = await tries.take(counted)
      if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
      const kept = person?.passphraseHash ?? null
      const fits = await tryOut(tries, counted, () => passphrases.fits(passphrase, kept))
      if (!fits || !person || kept === null) {
        noteFailure(people, person?.id, log)
        return answerProblem(context, { kind: 'wrong-proof' })
      }
      await tries.giveBack(counted)
      if (await passphrases.isOld(kept))
        await people.persons.rehash(person.id, kept, await passphrases.hash(passphrase))
      return signedIn(context, { id: person.id, device, byPasskey: false })
    })
    .post('/recover', async context => {
      const body = await readBody(context, readRecoverBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { signInName, code, passphrase, device } = body.value
      const { repositories } = context.var
      const person = await repositories.people.persons.findBySignInName(signInName)
      // Nobody guesses a code, so that those who try from elsewhere keep nobody from coming in by one.
      const { network: address } = context.var.caller
      const counted = { address, name: `${address} ${signInName}` }
      const wait = await tries.take(counted)
      if (wait > 0) return answerProblem(context, { kind: 'too-often', waitSeconds: wait })
      const weak = await weaknessIn(passphrase, [signInName])
      if (weak) return answerProblem(context, weak)
      // Reckoned whoever it is, so that nobody can tell by the time whether there is such a one.
      const passphraseHash = await tryOut(tries, counted, () => passphrases.hash(passphrase))
      return orRefused(context, async () => {
        await repositories.together(async ({ people }) => {
          const isUsed = await people.persons.useCode(person?.id ?? nobody, code)
          if (!person || !isUsed) throw new Refused({ kind: 'wrong-proof' })
          await people.persons.setPassphrase(person.id, passphraseHash)
          // Whoever had come in by what was lost is out.
          await people.sessions.endAll(person.id)
          await people.audit.noteOf(person.id, 'recovered')
          const browser = browserCookie.read(context)
          await people.news.note({ person: person.id, what: 'recovered', device, browser })
        })
        await tries.giveBack(counted)
        return signedIn(context, { id: person?.id ?? '', device, byPasskey: false })
      }).then(answer => {
        if (answer.status === 403) noteFailure(repositories.people, person?.id, log)
        return answer
      })
    })
}

/** Makes somebody of whoever holds an invitation, or takes everything back. Gives the codes for when all else is lost. */
async function join(
  { members, persons, audit }: PeopleRepositories,
  { token, signInName, name }: JoinBody,
  { id, passphraseHash }: { readonly id: string; readonly passphraseHash: string | null },
): Promise<readonly string[]> {
  const invitation = await members.takeInvitation(token)
  if (!invitation) throw new Refused({ kind: 'link-gone' })
  if (!(await persons.create({ id, signInName, name, passphraseHash })))
    throw new Refused(
      unreadable(
        'signInName',
        'Somebody signs in by this name already. Take another, such as it with a 2 behind it.',
      ),
    )
  await members.add(invitation.workshop.id, id, invitation.role)
  await audit.note(invitation.workshop.id, 'joined', { person: id, detail: invitation.role })
  return persons.makeCodes(id)
}

/** A known browser is not counted among strangers: who guesses elsewhere does not lock its owner out. */
async function countedFor(context: Context<WorkshopEnv>, signInName: string, person: string | undefined) {
  const { caller, repositories } = context.var
  const browser = browserCookie.read(context)
  const isKnown =
    browser !== undefined && (await repositories.people.persons.knowsBrowser(person ?? nobody, browser))
  const { network: address } = caller
  return isKnown
    ? { name: `${browser} ${signInName}` }
    : { address, name: `${address} ${signInName}`, strangers: signInName }
}

async function signedIn(context: Context<WorkshopEnv>, who: Parameters<typeof signIn>[1]): Promise<Response> {
  await signIn(context, who)
  return context.json({})
}

/** Not waited for: it would show by the time it takes that there is such a one. */
function noteFailure({ audit }: PeopleRepositories, person: string | undefined, log: Log): void {
  if (person === undefined) return
  audit
    .noteOf(person, 'sign-in-failed')
    .catch((error: unknown) => log.error({ error: String(error) }, 'a failed sign-in is not noted'))
}

export async function weaknessIn(passphrase: string, own: readonly string[]): Promise<Failure | undefined> {
  const weakness = await weaknessOf(passphrase, own)
  return weakness === undefined ? undefined : unreadable('passphrase', weakness)
}

function unreadable(path: string, message: string): Failure {
  return { kind: 'unreadable', issues: [{ path, message }] }
}
