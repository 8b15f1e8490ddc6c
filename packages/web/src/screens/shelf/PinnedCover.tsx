import { areaOfFront, closedFront, originUnder, toMm, type CuttingPin } from '@snowdrift/core'
import { useMemo } from 'react'
import { useCuttingQuery } from '../../api/cutting-api'
import type { ClothLook } from '../../views/cloth/look'
import { printOriginsOf } from '../../views/cloth/print-origins-of'
import type { Planned } from '../../views/planned'
import { ClosedCover } from './ClosedCover'

interface PinnedCoverProps {
  readonly id: string
  /** The cutting in which pieces of it are pinned. */
  readonly cutting: string
  readonly planned: Planned
  readonly cloth: ClothLook
}

/** A closed cover with that part of a print on its front under which its piece was laid. */
export default function PinnedCover({ id, cutting, planned, cloth }: PinnedCoverProps) {
  const { data: row } = useCuttingQuery(cutting)
  const from = useMemo(() => row && printOfFront(id, planned, row.plan.pins), [id, planned, row])
  return <ClosedCover planned={planned} cloth={from ? { ...cloth, from } : cloth} />
}

/** Where the cloth begins in the picture of the closed cover, in millimetres; undefined where its front is not pinned. */
function printOfFront(
  id: string,
  planned: Planned,
  pins: readonly CuttingPin[],
): readonly [number, number] | undefined {
  if (!planned.plan) return undefined
  const front = closedFront(planned.plan.strip)
  const origin = originUnder(printOriginsOf(id, planned, pins), areaOfFront(front))
  return origin && [origin.x - toMm(front.left) + toMm(front.spineSeen), origin.y]
}
