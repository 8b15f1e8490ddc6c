import type { PairedDevice } from './paired-devices.js'
import type { MemberRole, Membership } from './people.js'

/** Who asks: a device by its name, a person who signed in, or whoever sits at the machine on which Snowdrift runs. */
export interface WhoIsHere {
  readonly device: PairedDevice | null
  readonly person: PersonHere | null
  /** Whose work it is, whatever the device: what is kept on a device is kept for them. */
  readonly account: string
}

/** Somebody who signed in, and where they are. */
export interface PersonHere {
  readonly id: string
  readonly name: string
  /** Null where they belong to no workshop, or not any more to the one in which they were. */
  readonly workshop: Membership | null
}

/** Whether whoever has a role may change what they see. */
export function mayRoleChange(role: MemberRole): boolean {
  return role !== 'guest'
}

/** Where an answer says that whoever asked sees everything and changes nothing. */
export const looksOnHeader = 'Snowdrift-Looks-On'
