import { toMm } from '../../length/length.js'
import { pieceOn, saySize } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import { pressingMinutes, rates, sewingMinutes } from '../../make/minutes.js'
import type { ExtraWork } from '../contract.js'
import { ownNotion, sayPlace, sewOn } from '../put-on.js'

/** Measured with the outer round the thing, made, and stitched to the outside before the cover closes behind it. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const { ownPieces, carrier } = work
  const [strap] = ownPieces
  const tape = ownNotion(work, 'hook-and-loop')
  if (!strap) return []
  const long = toMm(strap.width.cut)
  return [
    {
      id: `measure-${strap.id}`,
      kind: 'measure',
      place: 'table',
      minutes: rates.tryingIn + rates.reading,
      name: 'Measure the strap on the thing',
      does: 'Lay the outer round the closed thing. Tape from where the strap will be stitched, over the fore-edge, to where it will close.',
      why: 'Pockets and contents make it thicker than the plan knows.',
      pieces: [carrier],
      on: { piece: carrier, stage: 'shape' },
      measures: [
        { piece: strap.id, side: 'width' },
        ...(tape ? [{ notion: tape.id, side: 'length' } as const] : []),
      ],
    },
    {
      id: `make-${strap.id}`,
      kind: 'sew',
      place: 'machine',
      minutes: pressingMinutes(2 * long) + sewingMinutes(3 * long) + rates.hookAndLoop,
      stitchedMm: 3 * long,
      name: 'Make the strap',
      does: `Strap (${saySize(work, pieceOn(work, strap.id))}): the corners of one end folded to the middle, so that it is pointed, then both long edges; stitched round and down the middle. The soft side of the tape on it.`,
      why: 'The soft side does not scratch what it lies on.',
      pieces: [strap.id],
      tools: ['sewing machine', 'iron'],
      cautions: ['needles', 'hot-iron'],
      on: { piece: strap.id, stage: 'dress' },
    },
    sewOn(work, {
      id: `sew-on-${strap.id}`,
      what: 'the strap and its mate',
      aroundMm: 250,
      pieces: [strap.id],
      notions: tape ? [tape.id] : [],
      does: `Strap on the back in a box, ${sayPlace(work)}; the hook side where the strap meets it on the front.`,
      ask: 'Does the strap reach over the fore-edge to its mate, hooks facing it, and is no flap or pocket stitched through?',
      needs: [`make-${strap.id}`, `measure-${strap.id}`],
    }),
  ]
}
