import type { CoverFile, CoverRow } from '@snowdrift/core'
import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit'
import {
  changeDraft,
  keepMine,
  openDraft,
  redoDraft,
  resumeDraft,
  settleDraft,
  takeTheirs,
  undoDraft,
  type Draft,
  type KeptDraft,
  type SavingState,
} from './draft'

export type DraftsState = Readonly<Record<string, Draft>>

const none: DraftsState = {}

/** The drafts of this window, by the id of their cover. */
export const draftsSlice = createSlice({
  name: 'drafts',
  initialState: none,
  reducers: {
    /** A row came from the server. Work in hand stays; kept work is taken up. */
    opened: (
      state,
      { payload: { row, kept } }: PayloadAction<{ row: CoverRow; kept?: KeptDraft | undefined }>,
    ) => {
      const held = state[row.id]
      if (held?.dirty || (held && held.version >= row.version)) return state
      return { ...state, [row.id]: kept ? resumeDraft(kept, row) : openDraft(row) }
    },
    changed: {
      prepare: (id: string, file: CoverFile, key: string) => ({ payload: { id, file, key, at: Date.now() } }),
      reducer: (
        state,
        { payload }: PayloadAction<{ id: string; file: CoverFile; key: string; at: number }>,
      ) => update(state, payload.id, draft => changeDraft(draft, payload.file, payload.key, payload.at)),
    },
    undone: (state, { payload: id }: PayloadAction<string>) => update(state, id, undoDraft),
    redone: (state, { payload: id }: PayloadAction<string>) => update(state, id, redoDraft),
    keptMine: (state, { payload: id }: PayloadAction<string>) => update(state, id, keepMine),
    tookTheirs: (state, { payload: id }: PayloadAction<string>) => update(state, id, takeTheirs),
    savingChanged: (
      state,
      {
        payload: { id, saving, refusal },
      }: PayloadAction<{ id: string; saving: SavingState; refusal?: string }>,
    ) => update(state, id, draft => ({ ...draft, saving, ...(refusal !== undefined && { refusal }) })),
    settled: (state, { payload: { sent, row } }: PayloadAction<{ sent: CoverFile; row: CoverRow }>) =>
      update(state, row.id, draft => settleDraft(draft, sent, row)),
    conflicted: (state, { payload: row }: PayloadAction<CoverRow>) =>
      update(state, row.id, draft => ({ ...draft, conflict: row, saving: 'resting' })),
    forgotten: (state, { payload: id }: PayloadAction<string>) => {
      const { [id]: _gone, ...others } = state
      return others
    },
  },
})

export const {
  opened,
  changed,
  undone,
  redone,
  keptMine,
  tookTheirs,
  savingChanged,
  settled,
  conflicted,
  forgotten,
} = draftsSlice.actions

/** Drafts are compared by identity, so the reducers work on the plain state, not on what stands in for it. */
function update(standIn: DraftsState, id: string, change: (draft: Draft) => Draft): DraftsState {
  const state = (original(standIn as object) as DraftsState | undefined) ?? standIn
  const draft = state[id]
  if (!draft) return state
  const changed = change(draft)
  return changed === draft ? state : { ...state, [id]: changed }
}
