import type { Context } from 'hono'
import { browserCookie, sessionCookie } from '../http/secret-cookies.js'
import type { WorkshopEnv } from '../routes/workshop.js'

/** Signs somebody in: with a token of their own, whatever the browser came with. */
export async function signIn(
  context: Context<WorkshopEnv>,
  { id, device }: { readonly id: string; readonly device: string },
): Promise<void> {
  const { persons, members, sessions, audit } = context.var.repositories.people
  const before = sessionCookie.read(context)
  const found = before === undefined ? undefined : await sessions.find(before)
  if (found?.kind === 'in') await sessions.end(found.person.id, found.person.session)
  const [workshop] = await members.workshopsOf(id)
  sessionCookie.set(context, await sessions.begin(id, workshop?.id ?? null, device))
  browserCookie.set(context, await persons.meetBrowser(id, browserCookie.read(context)))
  await audit.noteOf(id, 'signed-in')
}
