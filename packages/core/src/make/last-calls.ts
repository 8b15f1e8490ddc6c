import type { Assembled } from './assembled.js'
import { turnsAt } from './draft.js'

/** What can still be added before a step closes the stage for it. */
export type LastCall = 'pockets' | 'caught' | 'linings'

export const lastCallWords: Readonly<Record<LastCall, string>> = {
  pockets: 'Last call for pockets, labels and motifs: after this the panels are joined.',
  caught: 'Last call for ties, loops, tabs, ribbons and handles: the next seam catches what lies in it.',
  linings: 'Last call for pockets on the linings, and for sewing signatures in hidden.',
}

/** By step, what it closes the door for. */
export function lastCallsOf(steps: readonly Assembled[]): Readonly<Record<string, LastCall>> {
  const joins = steps.find(({ on, kind, pieces }) => !on && kind !== 'cut' && pieces.includes('outer'))
  const looks = steps.find(step => turnsAt(step, 'looks'))
  // A wrap that is glued on for good has no linings.
  const isLined = steps.some(({ pieces }) => pieces.includes('lining'))
  const glued = isLined ? steps.find(step => turnsAt(step, 'catches') && step.kind === 'glue') : undefined
  return {
    ...(joins && { [joins.id]: 'pockets' as const }),
    ...(looks && looks.id !== joins?.id && { [looks.id]: 'caught' as const }),
    ...(glued && { [glued.id]: 'linings' as const }),
  }
}
