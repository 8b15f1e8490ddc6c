import { toMm } from '../../length/length.js'
import type { Draft } from '../../make/draft.js'
import type { ExtraWork } from '../contract.js'
import { sewOn } from '../put-on.js'

/** Over the spine, both long edges stitched or glued. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const [band] = work.ownPieces
  if (!band) return []
  return [
    sewOn(work, {
      id: `sew-on-${band.id}`,
      what: 'the contrast spine',
      aroundMm: 2 * toMm(band.height.cut),
      pieces: [band.id],
      does: 'Middle on the middle of the outer, right side up, its long edges turned under; stitch both.',
      ask: 'Is as much of the outer left on both sides?',
    }),
  ]
}
