import type { Context } from 'hono'
import { browserCookie, sessionCookie } from '../http/secret-cookies.js'
import type { WorkshopEnv } from '../routes/workshop.js'

/** Signs somebody in: with a token of their own, whatever the browser came with. */
export async function signIn(
  context: Context<WorkshopEnv>,
  { id, device, byPasskey }: { readonly id: string; readonly device: string; readonly byPasskey: boolean },
): Promise<void> {
  const { persons, members, sessions, audit, news } = context.var.repositories.people
  const before = sessionCookie.read(context)
  const found = before === undefined ? undefined : await sessions.find(before)
  if (found?.kind === 'in') await sessions.end(found.person.id, found.person.session)
  const [workshop] = await members.workshopsOf(id)
  sessionCookie.set(
    context,
    await sessions.begin({ person: id, workshop: workshop?.id ?? null, device, byPasskey }),
  )
  const browser = browserCookie.read(context)
  const isKnown = browser !== undefined && (await persons.knowsBrowser(id, browser))
  const met = await persons.meetBrowser(id, browser)
  browserCookie.set(context, met)
  if (!isKnown) await news.note({ person: id, what: 'signed-in-anew', device, browser: met })
  await audit.noteOf(id, 'signed-in')
}
