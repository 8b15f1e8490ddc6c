import type { CoverRow } from '@snowdrift/core'
import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit'
import { api, rowTags } from '../api/api'
import type { Told } from '../app/other-windows'
import type { DraftsState } from './drafts-slice'
import { idOf, kindOf, kinds, standingOf, type Ref } from './kinds'
import { onceMore } from './once-more'
import { takeUp } from './take-up'

export interface State {
  readonly drafts: DraftsState
  readonly api: ReturnType<typeof api.reducer>
}
export type Thunk = ThunkAction<Promise<void>, State, unknown, UnknownAction>

/**
 * Follows what another window of this device did. A row that is open here and has nothing unsaved takes what was saved
 * there, as a step that undo goes back over; with something unsaved it is left alone, and the server tells the two apart.
 */
export function follow(told: Told): Thunk {
  return async dispatch => {
    if ('changed' in told) {
      dispatch(api.util.invalidateTags([...rowTags]))
      return
    }
    dispatch(api.util.invalidateTags([...kinds[kindOf(told.saved)].tags]))
    await dispatch(followSaved(told.saved))
  }
}

/** Takes what stands in a row now, where it is open and has nothing unsaved, or is only shown. */
export function followSaved(ref: Ref): Thunk {
  // A row that is fetched already is not fetched again beside it, and what comes may be of before this save.
  return (dispatch, getState) =>
    followRow(ref, async () => {
      const held = getState().drafts[ref]
      const isClean = held !== undefined && !held.dirty
      if (!isClean && !isShown(ref, getState())) return
      const { data } = await dispatch(
        api.endpoints.row.initiate(ref, { forceRefetch: true, subscribe: false }),
      )
      if (!data) return
      if (kindOf(ref) === 'cover')
        dispatch(api.util.updateQueryData('cover', idOf(ref), () => data as CoverRow))
      if (isClean) await dispatch(takeUp(ref, standingOf(kindOf(ref), data)))
    })
}

/** Whether a cover is on a screen that only shows it. */
function isShown(ref: Ref, state: State): boolean {
  const select = api.endpoints.cover.select(idOf(ref))
  return kindOf(ref) === 'cover' && select(state).data !== undefined
}

const followRow = onceMore()
