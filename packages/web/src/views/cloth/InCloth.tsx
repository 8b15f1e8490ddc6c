import { useMemo, type ReactNode } from 'react'
import type { Planned } from '../planned'
import { inPrint } from './cloth-looks'
import { ClothLooksContext, useLooksOf } from './use-cloth-looks'
import { usePrintOrigins } from './use-print-origins'

interface InClothProps {
  readonly coverId: string
  readonly planned: Planned
  readonly children: ReactNode
}

/** Every picture of the cover within is drawn in its own cloths, with a print where the pieces were laid on it. */
export function InCloth({ coverId, planned, children }: InClothProps) {
  const looks = useLooksOf(planned)
  const origins = usePrintOrigins(coverId, planned)
  const printed = useMemo(() => inPrint(looks, origins), [looks, origins])
  return <ClothLooksContext value={printed}>{children}</ClothLooksContext>
}
