import { toMm } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { Draft } from '../../make/draft.js'
import { foldStrip } from '../../make/single-layer.js'
import type { ExtraWork } from '../contract.js'
import { hold, sayPlace, sewOn } from '../put-on.js'

/** Folded in four or three; caught at both fore-edges, or stitched to the outside. */
export function steps(
  work: ExtraWork<{
    readonly fold?: 'four' | 'three' | undefined
    readonly attach?: 'seam' | 'outside' | undefined
  }>,
): readonly Draft[] {
  const { ownPieces, options, unit } = work
  const [strip] = ownPieces
  if (!strip) return []
  const fold = options.fold ?? 'four'
  const made = foldStrip(work, {
    id: `fold-${strip.id}`,
    name: 'Fold and stitch the handles',
    piece: strip.id,
    fold,
    lengthMm: toMm(strip.width.cut),
    count: strip.count,
    finished: customary(1, unit),
  })
  if (options.attach === 'outside')
    return [
      made,
      sewOn(work, {
        id: `sew-on-${strip.id}`,
        what: 'the handles',
        aroundMm: 4 * 100,
        pieces: [strip.id],
        does: `Each foot in a box with a cross, ${sayPlace(work)}, equal from top and bottom at both fore-edges.`,
        ask: 'Are all four feet at the same height, no handle twisted?',
        needs: [made.id],
      }),
    ]
  return [
    made,
    hold(work, { id: `hold-${strip.id}`, what: 'the handles', pieces: [strip.id], lengthMm: 4 * 25 }),
  ]
}
