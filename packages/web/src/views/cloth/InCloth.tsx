import type { ReactNode } from 'react'
import type { Planned } from '../planned'
import { ClothLooksContext, useLooksOf } from './use-cloth-looks'

interface InClothProps {
  readonly planned: Planned
  readonly children: ReactNode
}

/** Every picture of the cover within is drawn in its own cloths. */
export function InCloth({ planned, children }: InClothProps) {
  return <ClothLooksContext value={useLooksOf(planned)}>{children}</ClothLooksContext>
}
