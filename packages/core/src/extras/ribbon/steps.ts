import type { Draft } from '../../make/draft.js'
import type { ExtraWork } from '../contract.js'
import { notionMm, sayPlace, sewOn } from '../put-on.js'

/** Laid across the outer, stitched along both edges. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const { ownNotions } = work
  if (ownNotions.length === 0) return []
  return [
    sewOn(work, {
      id: 'sew-on-ribbon',
      what: 'the ribbon',
      aroundMm: 2 * notionMm(work, 'ribbon'),
      pieces: [],
      notions: ownNotions.map(({ id }) => id),
      does: `Across the right side of the outer, ${sayPlace(work)}; along both edges in the same direction.`,
      ask: 'Is it level from one end to the other?',
    }),
  ]
}
