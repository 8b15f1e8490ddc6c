import type { Problem } from '@snowdrift/core'
import { createListenerMiddleware, isAnyOf, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit'
import { v4 as newId } from 'uuid'
import { api } from '../api/api'
import { tellOtherWindows } from '../app/other-windows'
import { describeError, isUnreachable } from '../api/describe-error'
import { keepingChanged } from './device-slice'
import type { Draft } from './draft'
import {
  changed,
  keptMine,
  metOther,
  opened,
  putBack,
  redone,
  refused,
  savingChanged,
  sent,
  settled,
  tookTheirs,
  undone,
  type DraftsState,
} from './drafts-slice'
import { keepDraft, keepWhileLeaving, type Keeping } from './kept-drafts'
import { kindOf, standingOf, type Kind, type Ref, type RowOf } from './kinds'

const pauseMs = 400
const retryMs = 3000

interface State {
  readonly drafts: DraftsState
  readonly device: { readonly keeping: Keeping }
  readonly server?: { readonly looksOn: boolean }
}

interface Saver {
  readonly draft: (ref: Ref) => Draft | undefined
  readonly dispatch: ThunkDispatch<unknown, unknown, UnknownAction>
}

/** Keeps each draft on the device as it changes, saves it a moment later, and tries again when it cannot. */
export const autosave = createListenerMiddleware()

const touches = isAnyOf(
  changed,
  putBack,
  undone,
  redone,
  keptMine,
  tookTheirs,
  opened,
  sent,
  settled,
  refused,
  metOther,
)

autosave.startListening({
  predicate: action => touches(action),
  effect: (action, listener) => {
    if (!touches(action)) return
    const { payload } = action
    const ref = typeof payload === 'string' ? payload : payload.ref
    const state = () => listener.getState() as State
    const draft = (of: Ref) => state().drafts[of]
    const touched = draft(ref)
    // Whoever looks on may try what they like: nothing of it is kept or sent.
    if (!touched || state().server?.looksOn) return
    // Saving never waits for keeping, and never depends on it.
    void keepDraft(touched).then(kept => {
      const keeping = kept === 'kept' ? undefined : kept
      if (keeping !== 'let-go' && keeping !== state().device.keeping)
        listener.dispatch(keepingChanged(keeping))
    })
    const isDue = touched.dirty && !sent.match(action) && !refused.match(action)
    if (isDue) schedule(ref, pauseMs, { draft, dispatch: listener.dispatch })
  },
})

const waiting = new Map<Ref, { readonly timer: ReturnType<typeof setTimeout>; readonly saver: Saver }>()
const running = new Set<Ref>()

addEventListener('online', hurry)
// Who leaves the page has no moment more to wait for.
addEventListener('pagehide', hurry)
addEventListener('pagehide', keepWhileLeaving)

function hurry(): void {
  for (const [ref, { saver }] of waiting) schedule(ref, 0, saver)
}

function schedule(ref: Ref, ms: number, saver: Saver): void {
  clearTimeout(waiting.get(ref)?.timer)
  waiting.set(ref, { timer: setTimeout(() => void run(ref, saver), ms), saver })
}

/** One save of a row at a time: what is typed while it is on its way goes with the next. */
async function run(ref: Ref, saver: Saver): Promise<void> {
  waiting.delete(ref)
  const draft = saver.draft(ref)
  if (running.has(ref) || !draft?.dirty || draft.conflict) return
  running.add(ref)
  const said = draft.pending?.body ?? draft.body
  const outcome = await save(draft, saver)
  running.delete(ref)
  const now = saver.draft(ref)
  // What was refused is not sent again; what has been typed in its place since is.
  const isDue = outcome === 'saved' || (outcome === 'refused' && now?.body !== said)
  if (isDue && now?.dirty) schedule(ref, 0, saver)
  if (outcome === 'unreachable') schedule(ref, retryMs, saver)
}

/** Sends what is due, under a key: where no answer comes, the same is sent again, and the server does it once. */
async function save({ ref, saving }: Draft, saver: Saver): Promise<'saved' | 'refused' | 'unreachable'> {
  const { dispatch } = saver
  if (saving !== 'offline') dispatch(savingChanged({ ref, saving: 'saving' }))
  dispatch(sent({ ref, newKey: newId() }))
  const pending = saver.draft(ref)?.pending
  if (!pending) return 'refused'
  try {
    const row = await dispatch(api.endpoints.saveRow.initiate({ ref, ...pending })).unwrap()
    dispatch(settled({ ref, version: row.version }))
    tellOtherWindows({ saved: ref })
    return 'saved'
  } catch (error) {
    return explainFailure(ref, error, dispatch)
  }
}

function explainFailure(
  ref: Ref,
  error: unknown,
  dispatch: Saver['dispatch'],
): 'saved' | 'refused' | 'unreachable' {
  const { status, data } = error as { status?: number | string; data?: Problem }
  if (status === 412 && data?.current) {
    dispatch(metOther({ ref, row: standingOf(kindOf(ref), data.current as RowOf<Kind>) }))
    return 'saved'
  }
  if (isUnreachable(error)) {
    dispatch(savingChanged({ ref, saving: 'offline' }))
    return 'unreachable'
  }
  dispatch(refused({ ref, refusal: describeError(error) }))
  return 'refused'
}
