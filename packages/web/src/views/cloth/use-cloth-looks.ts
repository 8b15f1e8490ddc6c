import { createContext, useContext, useMemo } from 'react'
import { useMaterialsQuery } from '../../api/api'
import { useAppSelector } from '../../app/store'
import type { Planned } from '../planned'
import { clothsOf, looksOf, type ClothLooks, type ClothNames } from './cloth-looks'

export const ClothLooksContext = createContext<ClothLooks | undefined>(undefined)

/** The cloths of a picture, those of the cover in hand unless it has its own; undefined where lines are wanted. */
export function useClothLooks(own?: ClothLooks): ClothLooks | undefined {
  const isShown = useAppSelector(state => state.cloth.shown)
  const ofCover = useContext(ClothLooksContext)
  return isShown ? (own ?? ofCover) : undefined
}

/** The cloths of a cover that the workshop’s stash knows; the same until one of its cloths is another. */
export function useLooksOf(planned: Planned): ClothLooks {
  const { data: materials } = useMaterialsQuery()
  const cloths = JSON.stringify(clothsOf(planned))
  return useMemo(() => looksOf(JSON.parse(cloths) as ClothNames, materials ?? []), [cloths, materials])
}
