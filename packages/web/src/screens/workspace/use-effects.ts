import { describePieceEffects, type CoverFile } from '@snowdrift/core'
import { useCallback } from 'react'
import { plannedOf } from '../../views/planned'
import { useCover } from './cover-context'

/** What a change of the cover would do to its pieces, in a few words; nothing where it cannot be planned. */
export function useEffects(): (change: (file: CoverFile) => CoverFile) => string {
  const { file, planned, unit } = useCover()
  return useCallback(
    change => {
      const before = planned.plan
      const after = before && plannedOf(change(file)).plan
      return after ? describePieceEffects(before, after, unit) : ''
    },
    [file, planned, unit],
  )
}
