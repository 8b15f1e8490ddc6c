import type { CoverFile } from '@snowdrift/core'
import { leaveKeptDraft } from './kept-drafts'
import { refOf } from './kinds'

const old = /^snowdrift\.draft\.([0-9a-f-]{36})\.[0-9a-f-]{36}$/

/** Unsaved work of covers once stood in the browser's other storage: it is moved to where it is looked for now. */
export async function moveOldDrafts(): Promise<void> {
  for (const key of oldKeys()) {
    const id = old.exec(key)?.[1] ?? ''
    const kept = parse(localStorage.getItem(key))
    if (kept) await leaveKeptDraft(refOf('cover', id), { version: kept.version, body: { file: kept.file } })
    localStorage.removeItem(key)
  }
}

function oldKeys(): readonly string[] {
  try {
    return Object.keys(localStorage).filter(key => old.test(key))
  } catch {
    return []
  }
}

function parse(text: string | null): { readonly version: number; readonly file: CoverFile } | undefined {
  try {
    return text === null ? undefined : (JSON.parse(text) as { version: number; file: CoverFile })
  } catch {
    return undefined
  }
}
