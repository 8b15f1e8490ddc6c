import type { Plan } from '@snowdrift/core'
import { useEffect, useMemo, useState } from 'react'
import type { Planned } from '../../views/planned'

const holdMs = 1500

export interface HeldPlan {
  readonly plan: Plan | undefined
  /** It is what was planned a moment ago, while a length is being typed that nobody can read yet. */
  readonly isHeld: boolean
}

/**
 * The plan, or for a moment the one before: on the way from 8 to 8 3/4 stands “8 3/”, and a picture that came and went
 * with each key could not be looked at. What is still unread after the moment has no picture.
 */
export function useHeldPlan({ plan, issues }: Planned): HeldPlan {
  const [last, setLast] = useState(plan)
  if (plan && plan !== last) setLast(plan)
  const isTyped = !plan && issues.length > 0 && issues.every(({ unread }) => unread)
  useEffect(() => {
    if (plan || !last) return
    const timer = setTimeout(() => setLast(undefined), isTyped ? holdMs : 0)
    return () => clearTimeout(timer)
  }, [plan, last, isTyped])
  const held = isTyped ? last : undefined
  const shown = plan ?? held
  const isHeld = !plan && held !== undefined
  return useMemo(() => ({ plan: shown, isHeld }), [shown, isHeld])
}
