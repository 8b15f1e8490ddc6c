import { findHolds, type Face, type Holds, type Plan } from '@snowdrift/core'
import type { Planned } from '../../../views/planned'

const none: Holds = { pulls: [], sizes: [], carries: [] }
const known = new WeakMap<Plan, Map<Face, Holds>>()

/** Where the flat cover can be taken hold of from one face; looked for once for each plan. Some milliseconds. */
export function holdsOf({ cover, plan }: Pick<Planned, 'cover' | 'plan'>, face: Face): Holds {
  if (!cover || !plan) return none
  const faces = known.get(plan) ?? new Map<Face, Holds>()
  known.set(plan, faces)
  const holds = faces.get(face) ?? findHolds(cover, plan, face)
  faces.set(face, holds)
  return holds
}
