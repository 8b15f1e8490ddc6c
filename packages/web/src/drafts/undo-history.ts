import { dropSession, readSession, writeSession } from '../app/device-storage'
import type { Draft } from './draft'
import type { Ref } from './kinds'

/** What could be undone and done again when the page was left, and what stood there then. */
export interface UndoHistory {
  readonly body: object
  readonly past: readonly object[]
  readonly future: readonly object[]
}

/** More steps than that are not carried over a reload. */
const mostKept = 60
const keyOf = (ref: Ref) => `snowdrift.undo.${ref}`

/** Leaves the steps of every draft with this window, which alone finds them again when it is loaded anew. */
export function leaveUndo(drafts: Readonly<Partial<Record<Ref, Draft>>>): void {
  for (const draft of Object.values(drafts)) {
    if (!draft || draft.past.length + draft.future.length === 0) continue
    const { ref, body, past, future } = draft
    const history = { body, past: past.slice(-mostKept), future: future.slice(0, mostKept) }
    writeSession(keyOf(ref), JSON.stringify(history))
  }
}

/** The steps that were left, taken once; undefined where there are none. */
export function takeUndo(ref: Ref): UndoHistory | undefined {
  const text = readSession(keyOf(ref))
  if (text === null) return undefined
  dropSession(keyOf(ref))
  try {
    return JSON.parse(text) as UndoHistory
  } catch {
    return undefined
  }
}
