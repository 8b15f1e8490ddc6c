import { keptPlace } from '../app/account'
import { dropSession, readSession, sessionKeys, writeSession } from '../app/device-storage'
import type { KeptDraft } from './draft'
import type { Ref } from './kinds'

/** What this window had not yet written to the device when it went away; nothing where the server had all of it. */
export interface Leaving {
  readonly value?: KeptDraft<object>
}

/** Whoever works here next finds nothing of it. */
const prefix = () => `snowdrift.leaving ${keptPlace()} `

/** Writes it at once into the storage of this window. Where that takes nothing, what the device has must do. */
export function putLeaving(ref: Ref, leaving: Leaving): void {
  writeSession(prefix() + ref, JSON.stringify(leaving))
}

/** What was left of a row, once: whoever takes it keeps it anew. */
export function takeLeaving(ref: Ref): Leaving | undefined {
  const said = readSession(prefix() + ref)
  dropLeaving(ref)
  return said === null ? undefined : (JSON.parse(said) as Leaving)
}

/** The device has it by now. */
export function dropLeaving(ref: Ref): void {
  dropSession(prefix() + ref)
}

/** The rows of which something was left. */
export function listLeaving(): readonly string[] {
  return sessionKeys()
    .filter(key => key.startsWith(prefix()))
    .map(key => key.slice(prefix().length))
}
