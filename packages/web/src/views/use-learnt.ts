import { learn, toRecord, type Hands, type Learnt, type MakeRow } from '@snowdrift/core'
import { useMemo } from 'react'
import { useSettingsQuery } from '../api/api'
import { useMakesQuery } from '../api/log-api'

export interface LearntFrom {
  readonly makes: readonly MakeRow[]
  readonly learnt: Learnt
  /** Whether its maker wants it used. */
  readonly isUsed: boolean
}

const known = new WeakMap<readonly MakeRow[], Learnt>()

/** What the makes in the log tell; the same makes are thought over once. */
export function learntOf(makes: readonly MakeRow[]): Learnt {
  const before = known.get(makes)
  if (before) return before
  const learnt = learn(makes.map(({ id, log }) => toRecord(id, log)))
  known.set(makes, learnt)
  return learnt
}

/** What the log tells; undefined while it is fetched. */
export function useLearnt(): LearntFrom | undefined {
  const { data: makes } = useMakesQuery()
  const { data: settings } = useSettingsQuery()
  return useMemo(
    () =>
      makes && settings
        ? { makes, learnt: learntOf(makes), isUsed: settings.learning === 'used' }
        : undefined,
    [makes, settings],
  )
}

/** The maker’s own pace where it is sure and wanted; undefined where everybody’s minutes hold. */
export function paceOf(from: LearntFrom | undefined): Hands['pace'] | undefined {
  if (!from?.isUsed) return undefined
  const sure = Object.entries(from.learnt.times).filter(([, { used }]) => used)
  if (sure.length === 0) return undefined
  return Object.fromEntries(sure.map(([kind, { value }]) => [kind, value]))
}

/** The same as it is wanted now; one record for as long as nothing changes. */
export function usePace(): Hands['pace'] {
  const from = useLearnt()
  return useMemo(() => paceOf(from), [from])
}
