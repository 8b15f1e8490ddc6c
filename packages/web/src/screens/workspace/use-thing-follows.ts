import type { CoverBody, ThingBody } from '@snowdrift/core'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { useThingQuery } from '../../api/api'
import { useAppDispatch } from '../../app/store'
import { oneStep, type Draft } from '../../drafts/draft'
import { tookTheirs } from '../../drafts/drafts-slice'
import { refOf, standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import type { Planned } from '../../views/planned'
import { hasReadings, isSameObject, type Measured } from './same-object'
import { stationOfPlace } from './stations'

/** The thing that a cover is for, as it is being worked on, and the way to give it the cover's readings. */
export interface FollowingThing {
  readonly draft: Draft<ThingBody> | undefined
  /** Whether its readings are others than those that the cover was planned from. */
  readonly isParted: boolean
  readonly keepThese: () => void
}

/**
 * What is measured belongs to the thing at once: while cover and thing agree, each reading that can be read goes to both.
 * Where the thing was changed from another cover, the two have parted: the cover keeps what it was planned from, and
 * nothing goes over until the maker says which readings hold.
 */
export function useThingFollows(cover: Draft<CoverBody>, planned: Planned): FollowingThing {
  const { thingId, file } = cover.body
  const { object, unit = 'in' } = file
  const id = thingId ?? ''
  const { data: row } = useThingQuery(id, { skip: thingId === null })
  const draft = useDraft('thing', id, row?.id === id ? standingOf('thing', row) : undefined)
  const { change } = useDraftChanges('thing', id)
  const dispatch = useAppDispatch()
  const thing = draft?.body
  const ours = useMemo(() => object && { object, unit }, [object, unit])
  const isSame = thing !== undefined && ours !== undefined && isSameObject(thing, ours)
  // What both had when they last agreed.
  const [agreed, setAgreed] = useState<typeof ours>()
  if (isSame && agreed !== ours) setAgreed(ours)
  const isBehind = thing !== undefined && (!hasReadings(thing.object) || isAgreed(thing, agreed))
  const isReadable = !planned.issues.some(({ path }) => stationOfPlace(path) === 'measure')
  const keepThese = useCallback(() => {
    if (ours) change(oneStep, body => ({ ...body, ...ours }))
  }, [change, ours])
  const goesOver = ours !== undefined && !isSame && isBehind && isReadable
  useEffect(() => {
    if (goesOver) change('readings', body => ({ ...body, ...ours }))
  }, [goesOver, ours, change])
  const hasConflict = draft?.conflict !== undefined
  useEffect(() => {
    // Another window changed the thing: what stands there is its, and the maker is asked about the cover.
    if (hasConflict) dispatch(tookTheirs(refOf('thing', id)))
  }, [dispatch, hasConflict, id])
  const isParted = thing !== undefined && ours !== undefined && !isSame && !isBehind
  return useMemo(() => ({ draft, isParted, keepThese }), [draft, isParted, keepThese])
}

function isAgreed(thing: Measured, agreed: Measured | undefined): boolean {
  return agreed !== undefined && isSameObject(thing, agreed)
}
