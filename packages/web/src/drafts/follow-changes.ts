import type { Change, ChangedKind } from '@snowdrift/core'
import { api, rowTags } from '../api/api'
import { isOwnWrite } from '../app/own-writes'
import type { DraftsState } from './drafts-slice'
import { follow, followSaved, type Thunk } from './follow'
import { kindOf, kinds, refOf, settingsId, type Kind, type Ref } from './kinds'

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
  people: ['People'],
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
