import {
  followMade,
  handsOf,
  initialSettings,
  noProgress,
  planSteps,
  sayProperly,
  type Cover,
  type CoverFile,
  type Hands,
  type Making,
  type Plan,
  type Progress,
  type Schools,
  type SettingsBody,
  type Unit,
  withMade,
} from '@snowdrift/core'
import { useCallback, useMemo, useState } from 'react'
import { useAppSelector } from '../../app/store'
import { useCoverQuery, useMakingQuery, useSettingsQuery } from '../../api/api'
import { oneStep, type Draft } from '../../drafts/draft'
import { standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import { usePace } from '../../views/use-learnt'
import { plannedOf } from '../../views/planned'

/** A cover on the bench: how it is made from what was really cut, and how far it has come. */
export interface OnTheBench {
  readonly id: string
  readonly file: CoverFile
  readonly unit: Unit
  /** As it was planned, before anything was cut otherwise. */
  readonly planned: Plan
  /** As it follows from what was made of the outer. */
  readonly followed: Plan
  /** That, with every other piece as it was cut or measured: what the steps say. */
  readonly plan: Plan
  readonly making: Making
  /** What its pieces are cut from. */
  readonly cloths: Pick<Cover, 'stack' | 'cutFrom'>
  readonly hands: Hands
  readonly progress: Progress
  readonly draft: Draft<{ readonly progress: Progress }>
  readonly change: (make: (progress: Progress) => Progress) => void
}

/** What another device did at the table is looked for so often. */
const lookEveryMs = 5000

/** The cover on the bench; what is missing while it cannot be made yet; undefined while it is fetched. */
export function useMaking(id: string): OnTheBench | 'not-planned' | undefined {
  const { data: row } = useCoverQuery(id, { refetchOnMountOrArgChange: true })
  const cover = useDraft('cover', id, row?.id === id ? standingOf('cover', row) : undefined)
  const { data: settings } = useSettingsQuery()
  const pace = usePace()
  const { draft, change } = useProgress(id)
  const file = cover?.body.file
  const progress = draft?.body.progress
  const worked = useMemo(() => {
    if (!file || !progress) return undefined
    return workOut(file, progress, settings ?? initialSettings(), pace)
  }, [file, progress, settings, pace])
  return useMemo(() => {
    if (!file || !draft || !progress || !worked) return undefined
    return worked === 'not-planned' ? worked : { id, file, ...worked, progress, draft, change }
  }, [id, file, draft, progress, worked, change])
}

/** The progress of a cover: kept on the device, saved, and brought together with what another device did. */
function useProgress(id: string) {
  const [isThere, setThere] = useState(false)
  const isLive = useAppSelector(({ server }) => server.live)
  const { data, error } = useMakingQuery(id, {
    // where nothing has been begun, there is nothing to look for
    // where the server tells, nobody has to look
    pollingInterval: isThere && !isLive ? lookEveryMs : 0,
    skipPollingIfUnfocused: true,
    refetchOnMountOrArgChange: true,
  })
  const found = data?.id === id
  if (found !== isThere) setThere(found)
  const standing = useMemo(() => {
    if (data?.id === id) return standingOf('making', data)
    // Begun here: what another device has by then comes together with it when it is saved.
    return data === null || error ? { version: 0, body: { progress: noProgress } } : undefined
  }, [data, error, id])
  const draft = useDraft('making', id, standing)
  const changes = useDraftChanges('making', id)
  const change = useCallback(
    (make: (progress: Progress) => Progress) =>
      changes.change(oneStep, body => ({ progress: make({ ...noProgress, ...body.progress }) })),
    [changes],
  )
  return { draft, change }
}

function workOut(file: CoverFile, progress: Progress, settings: SettingsBody, pace: Hands['pace']) {
  const { unit } = settings
  const first = plannedOf(file)
  if (!first.cover || !first.plan) return 'not-planned'
  const made = plannedOf(followMade(file, first.cover, first.plan, { progress, unit }))
  const hands = handsOf(settings, schoolsOf(progress), pace)
  const { cover, plan: followed } =
    made.cover && made.plan
      ? { cover: made.cover, plan: made.plan }
      : { cover: first.cover, plan: first.plan }
  const plan = withMade(followed, { progress, unit })
  const making = planSteps(cover, plan, { say: sayProperly(unit), hands })
  if (making.steps.length === 0) return 'not-planned'
  return {
    unit,
    hands,
    planned: first.plan,
    followed,
    plan,
    cloths: cover,
    making,
  }
}

/** The schools that were chosen for this cover. */
function schoolsOf({ schools }: Progress): Partial<Schools> {
  return Object.fromEntries(Object.entries(schools).map(([key, { value }]) => [key, value]))
}
