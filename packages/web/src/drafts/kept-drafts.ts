import type { Draft, KeptDraft } from './draft'

const prefix = 'snowdrift.draft.'
const windowKey = 'snowdrift.window'

/** The name of this window, which it keeps over a reload; another window on the same cover has another. */
function windowName(): string {
  const known = sessionStorage.getItem(windowKey)
  if (known) return known
  const name = crypto.randomUUID()
  sessionStorage.setItem(windowKey, name)
  return name
}

/** Says to other windows that this one is alive, so that they leave its drafts alone. */
export function holdWindow(): void {
  void navigator.locks.request(prefix + windowName(), () => new Promise(() => undefined))
}

/** Keeps unsaved work on this device, and lets go of it once the server has it. */
export function keepDraft({ id, version, file, dirty }: Draft): void {
  const key = `${prefix}${id}.${windowName()}`
  if (!dirty) return localStorage.removeItem(key)
  const kept: KeptDraft = { version, file }
  localStorage.setItem(key, JSON.stringify(kept))
}

export function dropKeptDrafts(id: string): void {
  for (const key of keysOf(id)) localStorage.removeItem(key)
}

/** Unsaved work on a cover that this window left, or that a window left which is closed now. */
export async function findKeptDraft(id: string): Promise<KeptDraft | undefined> {
  const own = `${prefix}${id}.${windowName()}`
  const alive = await aliveWindows()
  const key = keysOf(id).find(name => name === own || !alive.has(name.slice(`${prefix}${id}.`.length)))
  if (key === undefined) return undefined
  const text = localStorage.getItem(key)
  if (key !== own) localStorage.removeItem(key)
  return text === null ? undefined : parseKept(text)
}

function keysOf(id: string): readonly string[] {
  return Object.keys(localStorage).filter(key => key.startsWith(`${prefix}${id}.`))
}

async function aliveWindows(): Promise<ReadonlySet<string>> {
  const { held = [] } = await navigator.locks.query()
  return new Set(held.flatMap(({ name }) => (name?.startsWith(prefix) ? [name.slice(prefix.length)] : [])))
}

function parseKept(text: string): KeptDraft | undefined {
  try {
    return JSON.parse(text) as KeptDraft
  } catch {
    return undefined
  }
}
