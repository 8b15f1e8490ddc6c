/** What the browser gives and Node does not: storages, locks and the window's events, emptied for each test. */
export interface StandIns {
  readonly local: Map<string, string>
  readonly session: Map<string, string>
  readonly heldLocks: Set<string>
}

export function installStandIns(): StandIns {
  const standIns = {
    local: new Map<string, string>(),
    session: new Map<string, string>(),
    heldLocks: new Set<string>(),
  }
  define('localStorage', storageOver(standIns.local))
  define('sessionStorage', storageOver(standIns.session))
  define('navigator', {
    locks: {
      request: (name: string) => {
        standIns.heldLocks.add(name)
        return new Promise(() => undefined)
      },
      query: () => Promise.resolve({ held: [...standIns.heldLocks].map(name => ({ name })) }),
    },
  })
  define('addEventListener', () => undefined)
  return standIns
}

function define(name: string, value: unknown): void {
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
