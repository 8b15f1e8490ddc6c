import { invitationDays, invitationLink } from '@snowdrift/core'
import type { Repositories } from '../db/repositories/repositories.js'

/** What whoever starts a server is told while its workshop has no owner: where the first one comes in. */
export async function inviteFirst(
  { people }: Repositories,
  workshop: string,
  origin: string,
): Promise<string> {
  const open = await people.members.invitations(workshop)
  // Each start shows one; those of earlier starts lead nowhere any more.
  for (const { id } of open) await people.members.withdraw(workshop, id)
  const invited = await people.members.invite(workshop, 'owner')
  const link = invited ? invitationLink(origin, invited.token) : ''
  return `Its workshop has no owner yet. The first comes in here, once, within ${invitationDays} days:\n${link}`
}
