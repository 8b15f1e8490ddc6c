import { deleteDB } from 'idb'
import { forgetUnwritten } from '../drafts/kept-drafts'
import { closeKept } from '../drafts/kept-store'
import { keptPlace } from './account'

/** What the device itself likes, and nobody’s work. */
const ofTheDevice = new Set(['snowdrift.theme', 'snowdrift.cloth', 'snowdrift.beside-layout'])

/** Takes everything off this device that it kept for whoever leaves it: answers, unsaved work, waits, what was typed. */
export async function leaveDevice(): Promise<void> {
  await forgetAnswers()
  forgetUnwritten()
  await closeKept()
  await deleteDB(keptPlace()).catch(() => undefined)
  try {
    for (const key of Object.keys(localStorage))
      if (key.startsWith('snowdrift.') && !ofTheDevice.has(key)) localStorage.removeItem(key)
    sessionStorage.clear()
  } catch {
    // Where nothing is kept, nothing has to go.
  }
}

/** Takes the answers off this device that it kept for when the server is away. */
export async function forgetAnswers(): Promise<void> {
  try {
    for (const name of await caches.keys())
      if (name.startsWith('snowdrift-answers')) await caches.delete(name)
  } catch {
    // On plain addresses a browser keeps none.
  }
}
