import { useMemo } from 'react'
import { useMaterialsQuery } from '../../api/api'
import { useAppSelector } from '../../app/store'
import { lookOf, type ClothLook } from '../../views/cloth/look'

/** The look of each material of the workshop by its name; of none where lines are wanted. */
export type Cloths = ReadonlyMap<string, ClothLook>

export function useCloths(): Cloths {
  const { data } = useMaterialsQuery()
  const shown = useAppSelector(state => state.cloth.shown)
  return useMemo(
    () => new Map(shown ? data?.map(row => [row.material.name, lookOf(row)]) : []),
    [data, shown],
  )
}
