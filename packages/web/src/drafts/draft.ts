import type { CoverFile, CoverRow } from '@snowdrift/core'

/** A cover that is being worked on: what the maker has now, and how it stands to what the server has. */
export interface Draft {
  readonly id: string
  readonly thingId: string | null
  /** The version of the row that `file` is based on. */
  readonly version: number
  readonly file: CoverFile
  readonly past: readonly CoverFile[]
  readonly future: readonly CoverFile[]
  /** Whether `file` holds anything that the server does not have. */
  readonly dirty: boolean
  readonly saving: SavingState
  /** Why the server refused, when it did. */
  readonly refusal?: string
  /** What stands on the server, when somebody else changed it meanwhile. */
  readonly conflict?: CoverRow
  /** The field that changed last, and when: typing on in it is one step for undo. */
  readonly lastChange?: { readonly key: string; readonly at: number }
}

export type SavingState = 'resting' | 'saving' | 'offline' | 'refused'

const mostSteps = 200
const typingPauseMs = 1500

export function openDraft({ id, thingId, version, file }: CoverRow): Draft {
  return { id, thingId, version, file, past: [], future: [], dirty: false, saving: 'resting' }
}

/** Takes up work that this device kept; where the server has moved on meanwhile, the two are in conflict. */
export function resumeDraft(kept: KeptDraft, row: CoverRow): Draft {
  const draft: Draft = {
    ...openDraft(row),
    version: kept.version,
    file: kept.file,
    past: [row.file],
    dirty: true,
  }
  return kept.version === row.version ? draft : { ...draft, conflict: row }
}

/** What a device keeps of unsaved work. */
export interface KeptDraft {
  readonly version: number
  readonly file: CoverFile
}

/** The key of a change that is a step of its own, however soon it follows another. */
export const oneStep = ''

/** A change of the file. Changes of one field in quick succession are undone together. */
export function changeDraft(draft: Draft, file: CoverFile, key: string, at: number): Draft {
  if (file === draft.file) return draft
  const { lastChange } = draft
  const typingOn =
    key !== oneStep && lastChange?.key === key && at - lastChange.at < typingPauseMs && draft.past.length > 0
  const past = typingOn ? draft.past : [...draft.past, draft.file].slice(-mostSteps)
  return { ...draft, file, past, future: [], dirty: true, lastChange: { key, at } }
}

export function undoDraft(draft: Draft): Draft {
  const file = draft.past.at(-1)
  if (!file) return draft
  const { lastChange: _last, ...rest } = draft
  return { ...rest, file, past: draft.past.slice(0, -1), future: [draft.file, ...draft.future], dirty: true }
}

export function redoDraft(draft: Draft): Draft {
  const [file, ...future] = draft.future
  if (!file) return draft
  const { lastChange: _last, ...rest } = draft
  return { ...rest, file, past: [...draft.past, draft.file], future, dirty: true }
}

/** The server has `sent` now, as `row`; what was typed since is still to be saved. */
export function settleDraft(draft: Draft, sent: CoverFile, row: CoverRow): Draft {
  const { refusal: _refusal, conflict: _conflict, ...rest } = draft
  return { ...rest, version: row.version, dirty: draft.file !== sent, saving: 'resting' }
}

/** Keeps the maker's own work: it is based on what stands now, and saved over it. */
export function keepMine(draft: Draft): Draft {
  const { conflict, ...rest } = draft
  return conflict ? { ...rest, version: conflict.version, dirty: true, saving: 'resting' } : draft
}

/** Takes what stands on the server; undo brings the maker's own back. */
export function takeTheirs(draft: Draft): Draft {
  const { conflict, lastChange: _last, ...rest } = draft
  if (!conflict) return draft
  const past = [...draft.past, draft.file]
  return {
    ...rest,
    version: conflict.version,
    file: conflict.file,
    past,
    future: [],
    dirty: false,
    saving: 'resting',
  }
}
