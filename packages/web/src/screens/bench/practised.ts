import type { Plan, Step } from '@snowdrift/core'

/** What can be practised with questions out of one’s own covers. */
export type Practised = 'sides' | 'order' | 'opening'

/** What a no to a step’s check may come from: a gap left in the wrong place, or a side misread; undefined for all else. */
export function practisedAt(
  { check, joining, face, kind }: Step,
  { joinings }: Pick<Plan, 'joinings'>,
): Practised | undefined {
  if (!check) return undefined
  const pile = joinings.find(({ id }) => id === joining)
  if (kind === 'sew' && pile?.opening) return 'opening'
  return pile || face || kind === 'inspect' ? 'sides' : undefined
}
