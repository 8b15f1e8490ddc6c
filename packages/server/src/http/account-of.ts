import type { SignedInPerson } from '../db/repositories/people/session-repository.js'

/** Whose what a device keeps is: of two people of one workshop each has their own. */
export function accountOf(workshop: string | undefined, person: SignedInPerson | undefined): string {
  return [workshop, person?.id].filter(part => part !== undefined).join(' ')
}
