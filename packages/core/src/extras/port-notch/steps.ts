import { toMm } from '../../length/length.js'
import type { Draft } from '../../make/draft.js'
import { rates, sewingMinutes } from '../../make/minutes.js'
import type { ExtraWork } from '../contract.js'
import { sayPlace } from '../put-on.js'

/** A faced notch in the edge of the wall, for the plug. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const { ownPieces, carrier } = work
  const [facing] = ownPieces
  if (!facing) return []
  const round = toMm(facing.width.cut) + 2 * toMm(facing.height.cut)
  return [
    {
      id: `face-${facing.id}`,
      kind: 'sew',
      place: 'machine',
      minutes: 2 * (sewingMinutes(round, 2) + rates.turning),
      stitchedMm: 2 * round,
      name: 'Face the notch for the plug',
      does: `Facing on the ${carrier}, right sides together, ${sayPlace(work)}; sew round the notch, cut it out, snip the corners, turn the facing in and press.`,
      why: 'A plug that rubs cloth makes a hole.',
      pieces: [facing.id, carrier],
      face: 'right side',
      tools: ['sewing machine', 'small scissors'],
      cautions: ['needles', 'blades', 'devices'],
      check: {
        ask: 'With the device laid on it, is the notch at the port?',
        ifNot: 'Move it before it is cut.',
        cost: 'too-late',
      },
      gate: true,
      on: { piece: carrier, stage: 'dress' },
    },
  ]
}
