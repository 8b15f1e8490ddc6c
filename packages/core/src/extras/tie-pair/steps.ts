import { toMm } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { Draft } from '../../make/draft.js'
import { foldStrip } from '../../make/single-layer.js'
import type { ExtraWork } from '../contract.js'
import { hold } from '../put-on.js'

/** Ribbon as it is, or a strip folded in four with its loose end tucked in; then into the seam. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const { unit, ownPieces, ownNotions } = work
  const [strip] = ownPieces
  const id = strip?.id ?? ownNotions[0]?.id ?? 'ties'
  return [
    ...(strip
      ? [
          foldStrip(work, {
            id: `fold-${id}`,
            name: 'Fold and stitch the ties, loose ends tucked in',
            piece: id,
            fold: 'four',
            lengthMm: toMm(strip.width.cut),
            count: strip.count,
            finished: customary(3 / 4, unit),
          }),
        ]
      : []),
    hold(work, {
      id: `hold-${id}`,
      what: 'the ties',
      pieces: strip ? [id] : [],
      notions: ownNotions.map(notion => notion.id),
      lengthMm: 50,
    }),
  ]
}
