import { IDBFactory, IDBKeyRange } from 'fake-indexeddb'
import * as fakes from 'fake-indexeddb'
import { allKept } from '../drafts/kept-drafts.js'
import { closeKept } from '../drafts/kept-store.js'
import { forgetWindowName } from '../drafts/window-name.js'

/** What the browser gives and Node does not: storages, databases, locks and the window's events, empty for each test. */
export interface StandIns {
  readonly local: Map<string, string>
  readonly session: Map<string, string>
  /** Another window begins; the one before stays open, and its name with it. */
  readonly openWindow: (options?: { readonly copied: boolean }) => void
  /** The page is loaded again in the same window. */
  readonly reload: () => void
  /** The same in another window: for a moment nobody holds its name. */
  readonly reloadOther: (name: string) => void
  readonly closeWindow: (name: string) => void
  /** As soon as the browser has said once more that it is open. */
  readonly closeOnceTold: (name: string) => void
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
  const locks = makeLocks()
  define('localStorage', storageOver(local))
  define('sessionStorage', storageOver(session))
  defineDatabases()
  define('navigator', { locks })
  return {
    local,
    session,
    openWindow: ({ copied } = { copied: false }) => {
      if (!copied) session.clear()
      forgetWindowName()
    },
    reload: () => {
      locks.letGo(lockPrefix + (session.get('snowdrift.window') ?? ''))
      forgetWindowName()
    },
    reloadOther: name => {
      locks.letGo(lockPrefix + name)
      locks.held.add(lockPrefix + name)
    },
    closeWindow: name => locks.letGo(lockPrefix + name),
    closeOnceTold: name => locks.letGoOnceTold(lockPrefix + name),
    closeAllWindows: () => locks.letGoAll(),
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

/** Who holds a lock holds it until the window is gone; who waits for one only wants to know when that is. */
function makeLocks() {
  const held = new Set<string>()
  const waiting = new Map<string, (() => void)[]>()
  const going = new Set<string>()
  const letGo = (name: string) => {
    held.delete(name)
    for (const tell of waiting.get(name) ?? []) tell()
    waiting.delete(name)
  }
  return {
    held,
    letGo,
    letGoAll: () => {
      for (const name of [...held]) letGo(name)
    },
    letGoOnceTold: (name: string) => void going.add(name),
    request: (name: string, { mode }: LockOptions, work: (lock: object | null) => unknown) => {
      if (mode === 'shared')
        return new Promise<void>(resolve => {
          if (held.has(name)) waiting.set(name, [...(waiting.get(name) ?? []), resolve])
          else resolve()
        })
      if (held.has(name)) return Promise.resolve(work(null))
      held.add(name)
      void work({ name })
      return new Promise(() => undefined)
    },
    query: () => {
      const told = [...held]
      for (const name of going) letGo(name)
      going.clear()
      return Promise.resolve({ held: told.map(name => ({ name })) })
    },
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
