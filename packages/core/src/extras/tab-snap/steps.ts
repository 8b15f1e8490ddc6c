import { toMm } from '../../length/length.js'
import { pieceOn, saySize } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import { pressingMinutes, rates, sewingMinutes, turningMinutes } from '../../make/minutes.js'
import type { ExtraWork } from '../contract.js'
import { hold, ownNotion, setHardware } from '../put-on.js'

/** The tab sewn and turned, held in the seam; snap last, its mate marked by pressing. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const { ownPieces } = work
  const tab = ownPieces.find(({ role }) => role !== 'interfacing')
  const stiffener = ownPieces.find(({ role }) => role === 'interfacing')
  const snap = ownNotion(work, 'snap')
  if (!tab) return []
  const side = toMm(tab.height.cut) / 2
  return [
    {
      id: `make-${tab.id}`,
      kind: 'sew',
      place: 'machine',
      minutes:
        sewingMinutes(2 * side + toMm(tab.width.cut), 2) + turningMinutes(2) + pressingMinutes(2 * side),
      stitchedMm: 2 * side,
      name: 'Sew and turn the tab',
      does: `Tab (${saySize(work, pieceOn(work, tab.id))}) folded in half, right side in; sew both sides; clip, turn, press, the fold outside.`,
      why: 'The fold is its free end: no seam to wear.',
      pieces: [tab.id],
      face: 'wrong side',
      tools: ['sewing machine', 'iron'],
      cautions: ['needles', 'hot-iron'],
      on: { piece: tab.id, stage: 'dress' },
    },
    hold(work, { id: `hold-${tab.id}`, what: 'the tab', pieces: [tab.id], lengthMm: toMm(tab.width.cut) }),
    ...(snap
      ? [
          setHardware(work, {
            id: 'set-snap',
            minutes: rates.snap,
            name: 'Set the snap',
            does: 'Press the tab shut on the thing: the mark is the mate’s place. Two slits for each half, sealed where cloth frays; stiffener and washer inside, prongs bent outwards. Never through a flap, never tight.',
            pieces: [tab.id, 'outer', ...(stiffener ? [stiffener.id] : [])],
            notions: [snap.id],
            measures: [{ notion: snap.id, side: 'length' }],
            cautions: ['small-parts', 'magnets'],
          }),
        ]
      : []),
  ]
}
