import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit'
import { api } from '../api/api'
import type { Told } from '../app/other-windows'
import type { DraftsState } from './drafts-slice'
import { kindOf, kinds, standingOf, type Tag } from './kinds'
import { onceMore } from './once-more'
import { takeUp } from './take-up'

type Thunk = ThunkAction<Promise<void>, { readonly drafts: DraftsState }, unknown, UnknownAction>

const everything: readonly Tag[] = [
  'Covers',
  'Things',
  'Cuttings',
  'Materials',
  'Stash',
  'History',
  'Settings',
  'Makings',
]

/**
 * Follows what another window of this device did. A row that is open here and has nothing unsaved takes what was saved
 * there, as a step that undo goes back over; with something unsaved it is left alone, and the server tells the two apart.
 */
export function follow(told: Told): Thunk {
  return async (dispatch, getState) => {
    if ('changed' in told) {
      dispatch(api.util.invalidateTags([...everything]))
      return
    }
    const ref = told.saved
    dispatch(api.util.invalidateTags([...kinds[kindOf(ref)].tags]))
    // A row that is fetched already is not fetched again beside it, and what comes may be of before this save.
    await followRow(ref, async () => {
      const held = getState().drafts[ref]
      if (!held || held.dirty) return
      const { data } = await dispatch(
        api.endpoints.row.initiate(ref, { forceRefetch: true, subscribe: false }),
      )
      if (data) await dispatch(takeUp(ref, standingOf(kindOf(ref), data)))
    })
  }
}

const followRow = onceMore()
