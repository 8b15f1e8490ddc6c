/**
 * What the browser keeps for this page between visits, as far as it does: it may be full, or blocked for every page. Then
 * nothing is read and nothing kept, and nothing fails.
 */
export function readDevice(key: string): string | null {
  return attempt(() => localStorage.getItem(key))
}

export function writeDevice(key: string, value: string): void {
  attempt(() => localStorage.setItem(key, value))
}

export function readSession(key: string): string | null {
  return attempt(() => sessionStorage.getItem(key))
}

export function writeSession(key: string, value: string): void {
  attempt(() => sessionStorage.setItem(key, value))
}

export function dropSession(key: string): void {
  attempt(() => sessionStorage.removeItem(key))
}

export function sessionKeys(): readonly string[] {
  return attempt(() => Object.keys(sessionStorage)) ?? []
}

function attempt<Value>(work: () => Value): Value | null {
  try {
    return work()
  } catch {
    return null
  }
}
