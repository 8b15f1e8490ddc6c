import { printOrigins, printPlaces, type CuttingPin, type PrintOrigin } from '@snowdrift/core'
import { useMemo } from 'react'
import { useCuttingsQuery } from '../../api/api'
import { useAppSelector } from '../../app/store'
import { selectDraft } from '../../drafts/drafts-slice'
import { cuttingOf } from '../cutting-of'
import type { Planned } from '../planned'

const none: readonly PrintOrigin[] = []
const noPins: readonly CuttingPin[] = []

/** Where the prints lie that are pinned under pieces of a cover, as its layout stands now. */
export function usePrintOrigins(coverId: string, { cover, plan }: Planned): readonly PrintOrigin[] {
  const { data: rows } = useCuttingsQuery()
  const row = cuttingOf(coverId, rows)
  const inHand = useAppSelector(state => selectDraft(state, 'cutting', row?.id ?? coverId)?.body.plan)
  const pins = (inHand ?? row?.plan)?.pins ?? noPins
  return useMemo(
    // Nearly no cover has pins: nothing is reckoned for the others.
    () =>
      cover && plan && pins.length > 0
        ? printOrigins({ ...cover, id: coverId, pieces: plan.pieces }, printPlaces(plan), pins)
        : none,
    [coverId, cover, plan, pins],
  )
}
