import { areaOfFront, closedFront, originUnder, printOrigins, printPlaces, toMm } from '@snowdrift/core'
import { useMemo } from 'react'
import { useCuttingQuery } from '../../api/cutting-api'
import type { ClothLook } from '../../views/cloth/look'
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
  { cover, plan }: Planned,
  pins: Parameters<typeof printOrigins>[2],
): readonly [number, number] | undefined {
  if (!cover || !plan) return undefined
  const front = closedFront(plan.strip)
  const origins = printOrigins({ ...cover, id, pieces: plan.pieces }, printPlaces(plan), pins)
  const origin = originUnder(origins, areaOfFront(front))
  return origin && [origin.x - toMm(front.left) + toMm(front.spineSeen), origin.y]
}
