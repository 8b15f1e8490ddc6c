import type { CuttingPin, PrintOrigin } from '@snowdrift/core'
import { useMemo } from 'react'
import { useCuttingsQuery } from '../../api/api'
import { useAppSelector } from '../../app/store'
import { selectDraft } from '../../drafts/drafts-slice'
import { cuttingOf } from '../cutting-of'
import type { Planned } from '../planned'
import { printOriginsOf } from './print-origins-of'

const noPins: readonly CuttingPin[] = []

/** Where the prints lie that are pinned under pieces of a cover, as its layout stands now. */
export function usePrintOrigins(coverId: string, planned: Planned): readonly PrintOrigin[] {
  const { data: rows } = useCuttingsQuery()
  const row = cuttingOf(coverId, rows)
  const inHand = useAppSelector(state => selectDraft(state, 'cutting', row?.id ?? coverId)?.body.plan)
  const pins = (inHand ?? row?.plan)?.pins ?? noPins
  return useMemo(() => printOriginsOf(coverId, planned, pins), [coverId, planned, pins])
}
