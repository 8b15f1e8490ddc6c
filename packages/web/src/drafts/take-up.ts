import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit'
import { api } from '../api/api'
import { meetAccount } from '../app/account'
import { opened, type DraftsState } from './drafts-slice'
import { claimLeftDraft, findOwnDraft, leaveKeptDraft, listKeepers, listLeftRefs } from './kept-drafts'
import { takeUndo } from './undo-history'
import { kindOf, standingOf, type Ref, type Standing } from './kinds'
import { whenClosed } from './window-name'

type Thunk = ThunkAction<Promise<void>, { readonly drafts: DraftsState }, unknown, UnknownAction>

const taking = new Map<Ref, Promise<void>>()
const watched = new Set<string>()

/**
 * Opens the draft of a row, with the unsaved work that this device has of it: this window's own from before it was loaded
 * again, else what a closed window left, now or as soon as it is closed. Work in hand is never replaced: what is found
 * beside it stays where it can be found again.
 */
export function takeUp(ref: Ref, row: Standing<object>): Thunk {
  return (dispatch, getState) => {
    const take = async () => {
      const held = getState().drafts[ref]
      if (held?.dirty) return
      // Listed before, so that one that is closed at this very moment is either watched or found closed.
      const keepers = await listKeepers(ref)
      // A draft that is open here keeps itself; what the device has of it may lag behind.
      const kept = (held ? undefined : await findOwnDraft(ref)) ?? (await claimLeftDraft(ref))
      if (getState().drafts[ref]?.dirty) {
        if (kept) await leaveKeptDraft(ref, kept)
      } else dispatch(opened({ ref, row, kept, history: held ? undefined : takeUndo(ref) }))
      for (const window of keepers) if (!watched.has(window)) void dispatch(takeUpAfter(window))
    }
    const work = (taking.get(ref) ?? Promise.resolve()).then(take)
    taking.set(ref, work)
    return work
  }
}

/** A window just closed counts as open until the browser has cleared it away, which on a busy machine takes seconds. */
function takeUpAfter(window: string): Thunk {
  return async dispatch => {
    watched.add(window)
    await whenClosed(window)
    watched.delete(window)
    await dispatch(takeUpLeftWork())
  }
}

/** Takes up all that closed windows left, whether anybody opens it or not: it is saved as soon as that can be. */
export function takeUpLeftWork(): Thunk {
  return async (dispatch, getState) => {
    const left = await listLeftRefs()
    if (left.length === 0) return
    // Whose it is has to be known before any of it is sent: nobody is to find another's work among their own.
    const here = await dispatch(
      api.endpoints.here.initiate(undefined, { forceRefetch: true, subscribe: false }),
    )
    if (here.data && meetAccount(here.data.account)) return location.reload()
    for (const ref of left) {
      if (getState().drafts[ref]?.dirty) continue
      const { data, error } = await dispatch(
        api.endpoints.row.initiate(ref, { forceRefetch: true, subscribe: false }),
      )
      if (data) await dispatch(takeUp(ref, standingOf(kindOf(ref), data)))
      else if (isMissing(error)) await dispatch(takeUp(ref, notYetThere))
    }
  }
}

/** A row that was begun here and never came to the server. */
const notYetThere: Standing<object> = { version: 0, body: {} }

function isMissing(error: unknown): boolean {
  return (error as { status?: unknown } | undefined)?.status === 404
}
