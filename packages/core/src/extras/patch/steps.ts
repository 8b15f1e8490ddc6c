import { toMm } from '../../length/length.js'
import type { Draft } from '../../make/draft.js'
import type { ExtraWork } from '../contract.js'
import { lower, sayPlace, sewOn } from '../put-on.js'

/** Stitched or glued to the outside while it is a single layer. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const { ownPieces, name, carrier } = work
  const [patch] = ownPieces
  if (!patch) return []
  return [
    sewOn(work, {
      id: `sew-on-${patch.id}`,
      what: `the ${lower(name)}`,
      aroundMm: 2 * (toMm(patch.width.cut) + toMm(patch.height.cut)),
      pieces: [patch.id],
      does: `On the right side of the ${carrier.replaceAll('-', ' ')}, ${sayPlace(work)}; close to the edge all round.`,
      ask: 'Is it upright as the cover will stand, and clear of the spine?',
    }),
  ]
}
