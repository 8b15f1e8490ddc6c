import type { Change, ChangedKind, CoverRow } from '@snowdrift/core'
import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit'
import { api, rowTags } from '../api/api'
import { isOwnWrite } from '../app/own-writes'
import type { Told } from '../app/other-windows'
import type { DraftsState } from './drafts-slice'
import { idOf, kindOf, kinds, refOf, settingsId, standingOf, type Kind, type Ref } from './kinds'
import { onceMore } from './once-more'
import { takeUp } from './take-up'

interface State {
  readonly drafts: DraftsState
  readonly api: ReturnType<typeof api.reducer>
}
type Thunk = ThunkAction<Promise<void>, State, unknown, UnknownAction>
type RowTag = (typeof rowTags)[number]

/** What is read anew when something is changed. */
const tagsOf: Readonly<Record<ChangedKind, readonly RowTag[]>> = {
  cover: kinds.cover.tags,
  thing: kinds.thing.tags,
  material: kinds.material.tags,
  cutting: kinds.cutting.tags,
  making: kinds.making.tags,
  make: kinds.make.tags,
  settings: kinds.settings.tags,
  rule: ['Rules'],
  mark: ['Marks'],
  stash: ['Stash', 'History'],
  picture: ['Materials'],
  photo: ['Makes'],
  share: ['Shares'],
  device: ['Devices'],
  sharing: ['Devices'],
}

/**
 * Follows what was changed anywhere, as the server tells it; `missed` where nobody knows what that was. What this window
 * wrote itself it has followed already.
 */
export function followChanges(changes: readonly Change[] | 'missed'): Thunk {
  return async (dispatch, getState) => {
    if (changes === 'missed') {
      dispatch(api.util.invalidateTags([...rowTags]))
      const open = Object.keys(getState().drafts) as Ref[]
      await Promise.all(open.map(ref => dispatch(follow({ saved: ref }))))
      return
    }
    const others = changes.filter(({ id, version }) => id === null || !isOwnWrite(id, version ?? 0))
    const refs = others.flatMap(change => refsOf(change, getState().drafts))
    const tags = others.flatMap(({ kind }) => tagsOf[kind])
    if (tags.length > 0) dispatch(api.util.invalidateTags([...new Set(tags)]))
    await Promise.all([...new Set(refs)].map(ref => dispatch(followSaved(ref))))
  }
}

/** The drafts that a change is of; all of its kind where several rows were changed at once. */
function refsOf({ kind, id }: Change, drafts: DraftsState): readonly Ref[] {
  if (kind === 'settings') return [refOf('settings', settingsId)]
  if (!hasDrafts(kind)) return []
  const ofKind = (Object.keys(drafts) as Ref[]).filter(ref => kindOf(ref) === kind)
  return id === null ? ofKind : [refOf(kind, id)]
}

function hasDrafts(kind: ChangedKind): kind is ChangedKind & Kind {
  return kind in kinds
}

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

function followSaved(ref: Ref): Thunk {
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
