import { clothNeeded, type Cover, type Plan, type Unit } from '@snowdrift/core'
import { useDeferredValue, useMemo } from 'react'
import { Fractions } from '../../../parts/Fractions'
import { clothLength, usualClothWidth } from '../../../views/cloth-words'

interface ClothNeededProps {
  readonly plan: Plan
  readonly cover: Cover
  readonly unit: Unit
}

/** What the outer pieces take off cloth of the usual width, laid out; reckoned once nothing more pressing is to be drawn. */
export function ClothNeeded({ plan, cover, unit }: ClothNeededProps) {
  const settled = useDeferredValue(plan)
  const length = useMemo(
    () => clothNeeded(settled, cover, 'outer', usualClothWidth(unit)),
    [settled, cover, unit],
  )
  return length === undefined ? 'wider than that' : <Fractions text={clothLength(length, unit)} />
}
