import { useCallback, useEffect, useMemo } from 'react'
import { useAppDispatch, useAppSelector } from '../app/store'
import type { Draft } from './draft'
import { changed, putBack, redone, selectDraft, undone } from './drafts-slice'
import { refOf, type BodyOf, type Kind, type Standing } from './kinds'
import { takeUp } from './take-up'

/** The draft of a row, opened from what the server has and from what this device kept of unsaved work. */
export function useDraft<K extends Kind>(
  kind: K,
  id: string,
  row: Standing<BodyOf<K>> | undefined,
): Draft<BodyOf<K>> | undefined {
  const dispatch = useAppDispatch()
  const ref = refOf(kind, id)
  const draft = useAppSelector(state => selectDraft(state, kind, id))
  const isDirty = draft?.dirty ?? false
  const version = row?.version
  useEffect(() => {
    if (!row || isDirty) return
    void dispatch(takeUp(ref, row))
    // Looked for again once the work in hand is saved: another window may have been closed meanwhile.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a row is the same while its version is
  }, [dispatch, ref, version, isDirty])
  return draft
}

export interface DraftChanges<Body> {
  /** Changes the body. Changes under one `key` in quick succession are undone together. */
  readonly change: (key: string, make: (body: Body) => Body) => void
  /** Undoes what was changed last, if that was under this key, as if it had never been. */
  readonly putBack: (key: string) => void
  readonly undo: () => void
  readonly redo: () => void
}

/** How a draft is changed: always from what stands there now, however many changes come at once. */
export function useDraftChanges<K extends Kind>(kind: K, id: string): DraftChanges<BodyOf<K>> {
  const dispatch = useAppDispatch()
  const ref = refOf(kind, id)
  const change = useCallback<DraftChanges<BodyOf<K>>['change']>(
    (key, make) =>
      dispatch((send, getState) => {
        const draft = selectDraft(getState(), kind, id)
        if (draft) send(changed(ref, make(draft.body), key))
      }),
    [dispatch, kind, id, ref],
  )
  return useMemo(
    () => ({
      change,
      putBack: key => dispatch(putBack({ ref, key })),
      undo: () => dispatch(undone(ref)),
      redo: () => dispatch(redone(ref)),
    }),
    [change, dispatch, ref],
  )
}
