import { useMemo } from 'react'
import { useMaterialsQuery } from '../../api/api'

/** The colour of each material of the workshop by its name. */
export function useSwatches(): ReadonlyMap<string, string> {
  const { data } = useMaterialsQuery()
  return useMemo(() => new Map(data?.map(({ material, swatch }) => [material.name, swatch])), [data])
}
