import type { Face, Holds, Plan } from '@snowdrift/core'
import { useEffect, useState } from 'react'
import { useCover } from '../cover-context'
import { holdsOf } from './holds-of'

/** Longer than it takes to the next key: what is typed is shown and kept first. */
const restMs = 400

/**
 * Where the cover in hand can be taken hold of, once it has been at rest for a moment: nothing is looked for while keys
 * are being pressed. Until then what was found last, whose places may be off.
 */
export function useHolds(face: Face): { readonly holds: Holds; readonly isFresh: boolean } {
  const { planned } = useCover()
  const [found, setFound] = useState<{
    readonly plan: Plan | undefined
    readonly face: Face
    readonly holds: Holds
  }>({
    plan: undefined,
    face,
    holds: { pulls: [], sizes: [], carries: [] },
  })
  const isFresh = found.plan === planned.plan && found.face === face
  useEffect(() => {
    if (isFresh) return
    const look = () => setFound({ plan: planned.plan, face, holds: holdsOf(planned, face) })
    const timer = setTimeout(look, restMs)
    return () => clearTimeout(timer)
  }, [isFresh, planned, face])
  return { holds: found.holds, isFresh }
}
