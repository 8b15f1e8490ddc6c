import { v4 as newId } from 'uuid'
import { readSession, writeSession } from '../app/device-storage'

const key = 'snowdrift.window'
const prefix = 'snowdrift.window.'

/** A reload may come a moment before the page that it replaces has let go of the name. */
const patienceMs = 150

let claimed: Promise<string> | undefined

/**
 * The name of this window, which it keeps over a reload. Whoever copies a window copies its name with it, so a name is
 * claimed: while one window holds it, another takes a new one.
 */
export function windowName(): Promise<string> {
  claimed ??= claimName()
  return claimed
}

async function claimName(): Promise<string> {
  const known = readSession(key)
  if (known && ((await hold(known)) || (await pause(patienceMs), await hold(known)))) return known
  const name = newId()
  writeSession(key, name)
  await hold(name)
  return name
}

/** Holds the name for as long as the window lives; false where another window holds it. */
function hold(name: string): Promise<boolean> {
  return new Promise(resolve => {
    try {
      void navigator.locks
        .request(prefix + name, { ifAvailable: true }, lock => {
          resolve(lock !== null)
          return lock === null ? undefined : new Promise(() => undefined)
        })
        .catch(() => resolve(true))
    } catch {
      // Without locks every window is by itself.
      resolve(true)
    }
  })
}

/** The names of the windows that are open; undefined where that cannot be known. */
export async function openWindows(): Promise<ReadonlySet<string> | undefined> {
  try {
    const { held = [] } = await navigator.locks.query()
    return new Set(held.flatMap(({ name }) => (name?.startsWith(prefix) ? [name.slice(prefix.length)] : [])))
  } catch {
    return undefined
  }
}

/** A page that is loaded again holds its name again after this long at the latest. */
const reloadMs = 2_000

/** Once the window of that name is closed, and not only loaded again; never where that cannot be known. */
export async function whenClosed(name: string): Promise<void> {
  do {
    // Shared, so that all who wait are told at once and nobody keeps the name from the page that is loaded again.
    await navigator.locks.request(prefix + name, { mode: 'shared' }, () => undefined)
    await pause(reloadMs)
  } while ((await openWindows())?.has(name))
}

/** For tests: another window begins. */
export function forgetWindowName(): void {
  claimed = undefined
}

function pause(ms: number): Promise<void> {
  return new Promise(resolve => setTimeout(resolve, ms))
}
