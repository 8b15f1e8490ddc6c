import { IDBFactory, IDBKeyRange } from 'fake-indexeddb'
import * as fakes from 'fake-indexeddb'
import { allKept } from '../drafts/kept-drafts.js'
import { closeKept } from '../drafts/kept-store.js'
import { forgetWindowName } from '../drafts/window-name.js'

/** What the browser gives and Node does not: storages, databases, locks and the window's events, empty for each test. */
export interface StandIns {
  readonly local: Map<string, string>
  readonly session: Map<string, string>
  /** The names of windows that are open. */
  readonly heldLocks: Set<string>
  /** Another window begins; the one before stays open, and its name with it. */
  readonly openWindow: (options?: { readonly copied: boolean }) => void
  /** The page is loaded again in the same window. */
  readonly reload: () => void
  readonly closeAllWindows: () => void
  /** Every write to the device fails from now on: `QuotaExceededError` for a full one. */
  readonly breakDevice: (name: string) => void
}

define('addEventListener', () => undefined)
// Node has channels, too, which would keep a run of tests from ending.
define('BroadcastChannel', undefined)

const lockPrefix = 'snowdrift.window.'

export async function installStandIns(): Promise<StandIns> {
  await allKept()
  await closeKept()
  forgetWindowName()
  const [local, session] = [new Map<string, string>(), new Map<string, string>()]
  const heldLocks = new Set<string>()
  define('localStorage', storageOver(local))
  define('sessionStorage', storageOver(session))
  defineDatabases()
  define('navigator', { locks: locksOver(heldLocks) })
  return {
    local,
    session,
    heldLocks,
    openWindow: ({ copied } = { copied: false }) => {
      if (!copied) session.clear()
      forgetWindowName()
    },
    reload: () => {
      heldLocks.delete(lockPrefix + (session.get('snowdrift.window') ?? ''))
      forgetWindowName()
    },
    closeAllWindows: () => heldLocks.clear(),
    breakDevice: name => {
      const fail = () => {
        throw new DOMException('No', name)
      }
      define('indexedDB', { open: fail })
    },
  }
}

function defineDatabases(): void {
  for (const [name, value] of Object.entries(fakes)) if (name.startsWith('IDB')) define(name, value)
  define('IDBKeyRange', IDBKeyRange)
  define('indexedDB', new IDBFactory())
}

function locksOver(held: Set<string>) {
  return {
    request: (name: string, _options: object, work: (lock: object | null) => unknown) => {
      if (held.has(name)) return Promise.resolve(work(null))
      held.add(name)
      void work({ name })
      return new Promise(() => undefined)
    },
    query: () => Promise.resolve({ held: [...held].map(name => ({ name })) }),
  }
}

export function define(name: string, value: unknown): void {
  Object.defineProperty(globalThis, name, { value, configurable: true, writable: true })
}

/** A storage whose keys are its own properties, as `Object.keys(localStorage)` expects. */
function storageOver(entries: Map<string, string>): Storage {
  const methods: Record<string, unknown> = {
    getItem: (key: string) => entries.get(key) ?? null,
    setItem: (key: string, value: string) => entries.set(key, value),
    removeItem: (key: string) => entries.delete(key),
  }
  return new Proxy({} as Storage, {
    get: (_target, key) => methods[String(key)],
    ownKeys: () => [...entries.keys()],
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  })
}
