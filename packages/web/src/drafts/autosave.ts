import type { CoverRow, Problem } from '@snowdrift/core'
import { createListenerMiddleware, isAnyOf, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit'
import { api } from '../api/api'
import { describeError, isUnreachable } from '../api/describe-error'
import type { Draft } from './draft'
import {
  changed,
  conflicted,
  keptMine,
  opened,
  redone,
  savingChanged,
  settled,
  tookTheirs,
  undone,
  type DraftsState,
} from './drafts-slice'
import { keepDraft } from './kept-drafts'

const pauseMs = 400
const retryMs = 3000

interface Saver {
  readonly draft: (id: string) => Draft | undefined
  readonly dispatch: ThunkDispatch<unknown, unknown, UnknownAction>
}

/** Keeps each draft on the device as it changes, saves it a moment later, and tries again when it cannot. */
export const autosave = createListenerMiddleware()

const touches = isAnyOf(changed, undone, redone, keptMine, tookTheirs, opened, settled)

autosave.startListening({
  predicate: action => touches(action),
  effect: (action, listener) => {
    if (!touches(action)) return
    const id = idOf(action)
    const draft = (key: string) => (listener.getState() as { drafts: DraftsState }).drafts[key]
    const touched = draft(id)
    if (!touched) return
    keepDraft(touched)
    if (touched.dirty) schedule(id, pauseMs, { draft, dispatch: listener.dispatch })
  },
})

const waiting = new Map<string, { readonly timer: ReturnType<typeof setTimeout>; readonly saver: Saver }>()
const running = new Set<string>()

addEventListener('online', () => {
  for (const [id, { saver }] of waiting) schedule(id, 0, saver)
})

function schedule(id: string, ms: number, saver: Saver): void {
  clearTimeout(waiting.get(id)?.timer)
  waiting.set(id, { timer: setTimeout(() => void run(id, saver), ms), saver })
}

/** One save of a cover at a time: what is typed while it is on its way goes with the next. */
async function run(id: string, saver: Saver): Promise<void> {
  waiting.delete(id)
  const draft = saver.draft(id)
  if (running.has(id) || !draft?.dirty || draft.conflict) return
  running.add(id)
  const outcome = await save(draft, saver)
  running.delete(id)
  if (outcome === 'saved' && saver.draft(id)?.dirty) schedule(id, 0, saver)
  if (outcome === 'unreachable') schedule(id, retryMs, saver)
}

async function save(draft: Draft, { dispatch }: Saver): Promise<'saved' | 'refused' | 'unreachable'> {
  const { id, version, file, thingId } = draft
  if (draft.saving !== 'offline') dispatch(savingChanged({ id, saving: 'saving' }))
  try {
    const saving = api.endpoints.saveCover.initiate({ id, version, body: { thingId, file } })
    const row = await dispatch(saving).unwrap()
    dispatch(settled({ sent: file, row }))
    return 'saved'
  } catch (error) {
    return explainFailure(id, error, dispatch)
  }
}

function explainFailure(id: string, error: unknown, dispatch: Saver['dispatch']): 'refused' | 'unreachable' {
  const { status, data } = error as { status?: number | string; data?: Problem }
  if (status === 412) {
    dispatch(conflicted(data?.current as CoverRow))
    return 'refused'
  }
  if (isUnreachable(error)) {
    dispatch(savingChanged({ id, saving: 'offline' }))
    return 'unreachable'
  }
  dispatch(savingChanged({ id, saving: 'refused', refusal: describeError(error) }))
  return 'refused'
}

interface TouchingAction {
  readonly payload: string | { readonly id?: string; readonly row?: CoverRow }
}

function idOf({ payload }: TouchingAction): string {
  return typeof payload === 'string' ? payload : (payload.id ?? payload.row?.id ?? '')
}
