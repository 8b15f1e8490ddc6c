import { printPlaces, type CoverFile, type CoverToCut } from '@snowdrift/core'
import { useMemo } from 'react'
import { useCoversByIdQuery } from '../../../api/api'
import { plannedOf, type Planned } from '../../../views/planned'

/** The cover in hand as it is being changed. */
export interface OwnCover {
  readonly id: string
  readonly file: CoverFile
  readonly planned: Planned
}

/** The covers of a cutting as far as they can be planned; the one in hand as it is being changed. */
export function useCoversToCut(
  coverIds: readonly string[],
  { id: ownId, file, planned }: OwnCover,
): readonly CoverToCut[] {
  const others = useMemo(() => coverIds.filter(id => id !== ownId).toSorted(), [coverIds, ownId])
  const { data: rows } = useCoversByIdQuery(others, { skip: others.length === 0 })
  return useMemo(
    () =>
      coverIds.flatMap((id): readonly CoverToCut[] => {
        const row = rows?.find(candidate => candidate.id === id)
        const own = id === ownId ? planned : row && plannedOf(row.file)
        const name = (id === ownId ? file.name : row?.file.name) ?? ''
        if (!own?.plan || !own.cover) return []
        const { stack, cutFrom } = own.cover
        return [{ id, name, pieces: own.plan.pieces, stack, cutFrom, places: printPlaces(own.plan) }]
      }),
    [coverIds, rows, ownId, file, planned],
  )
}
