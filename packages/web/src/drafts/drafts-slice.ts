import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit'
import {
  changeDraft,
  keepMine,
  meetOther,
  mergeConflict,
  openDraft,
  putBackDraft,
  redoDraft,
  refuseDraft,
  resumeDraft,
  sendDraft,
  settleDraft,
  takeTheirs,
  undoDraft,
  type Draft,
  type KeptDraft,
  type SavingState,
} from './draft'
import { isEqual } from './is-equal'
import type { UndoHistory } from './undo-history'
import { kindOf, mergeOf, refOf, type BodyOf, type Kind, type Ref, type Standing } from './kinds'

export type DraftsState = Readonly<Partial<Record<Ref, Draft>>>

interface Opening {
  readonly ref: Ref
  readonly row: Standing<object>
  readonly kept?: KeptDraft<object> | undefined
  /** What could be undone before the page was loaded anew. */
  readonly history?: UndoHistory | undefined
}

interface Change {
  readonly ref: Ref
  readonly body: unknown
  readonly key: string
  readonly at: number
}

const none: DraftsState = {}

/** The drafts of this window, by the row that they are of. */
export const draftsSlice = createSlice({
  name: 'drafts',
  initialState: none,
  reducers: {
    /** A row came from the server, or unsaved work was found. What is being worked on stays. */
    opened: (state, { payload: { ref, row, kept, history } }: PayloadAction<Opening>) => {
      const held = state[ref]
      if (held?.dirty) return state
      const known = held && held.version >= row.version ? held : undefined
      const opened = kept
        ? together(resumeDraft(ref, kept, (known ?? row) as Standing<object>))
        : openDraft(ref, row)
      if (known && !opened.dirty) return state
      // What was found, or came from another window, is a step like any other: undo goes back over it.
      const before = held && !isEqual(held.body, opened.body) ? [...held.past, held.body] : held?.past
      const isLeft = history !== undefined && isEqual(history.body, opened.body)
      const past = before ?? (isLeft ? history.past : opened.past)
      const future = isLeft && !before ? history.future : opened.future
      return { ...state, [ref]: { ...opened, past, future } }
    },
    changed: {
      prepare: (ref: Ref, body: unknown, key: string) => ({ payload: { ref, body, key, at: Date.now() } }),
      reducer: (state, { payload }: PayloadAction<Change>) =>
        update(state, payload.ref, draft => changeDraft(draft, payload.body, payload.key, payload.at)),
    },
    undone: (state, { payload: ref }: PayloadAction<Ref>) => update(state, ref, undoDraft),
    putBack: (state, { payload: { ref, key } }: PayloadAction<{ ref: Ref; key: string }>) =>
      update(state, ref, draft => putBackDraft(draft, key)),
    redone: (state, { payload: ref }: PayloadAction<Ref>) => update(state, ref, redoDraft),
    keptMine: (state, { payload: ref }: PayloadAction<Ref>) => update(state, ref, keepMine),
    tookTheirs: (state, { payload: ref }: PayloadAction<Ref>) => update(state, ref, takeTheirs),
    savingChanged: (state, { payload: { ref, saving } }: PayloadAction<{ ref: Ref; saving: SavingState }>) =>
      update(state, ref, draft => ({ ...draft, saving })),
    sent: (state, { payload: { ref, newKey } }: PayloadAction<{ ref: Ref; newKey: string }>) =>
      update(state, ref, draft => sendDraft(draft, newKey)),
    settled: (state, { payload: { ref, version } }: PayloadAction<{ ref: Ref; version: number }>) =>
      update(state, ref, draft => settleDraft(draft, version)),
    refused: (state, { payload: { ref, refusal } }: PayloadAction<{ ref: Ref; refusal: string }>) =>
      update(state, ref, draft => refuseDraft(draft, refusal)),
    metOther: (state, { payload: { ref, row } }: PayloadAction<{ ref: Ref; row: Standing<unknown> }>) =>
      update(state, ref, draft => together(meetOther(draft, row))),
    forgotten: (state, { payload: ref }: PayloadAction<Ref>) => {
      const { [ref]: _gone, ...others } = state
      return others
    },
  },
})

export const {
  opened,
  changed,
  undone,
  putBack,
  redone,
  keptMine,
  tookTheirs,
  savingChanged,
  sent,
  settled,
  refused,
  metOther,
  forgotten,
} = draftsSlice.actions

/** The draft of a row, as what its kind says it is. */
export function selectDraft<K extends Kind>(
  { drafts }: { readonly drafts: DraftsState },
  kind: K,
  id: string,
): Draft<BodyOf<K>> | undefined {
  return drafts[refOf(kind, id)] as Draft<BodyOf<K>> | undefined
}

/** Where two windows' work can be kept together, it is, and there is no conflict. */
function together<Body>(draft: Draft<Body>): Draft<Body> {
  return mergeConflict(draft, mergeOf(kindOf(draft.ref)) as ((mine: Body, theirs: Body) => Body) | undefined)
}

/** Drafts are compared by identity, so the reducers work on the plain state, not on what stands in for it. */
function update(standIn: DraftsState, ref: Ref, change: (draft: Draft) => Draft): DraftsState {
  const state = (original(standIn as object) as DraftsState | undefined) ?? standIn
  const draft = state[ref]
  if (!draft) return state
  const changed = change(draft)
  return changed === draft ? state : { ...state, [ref]: changed }
}
