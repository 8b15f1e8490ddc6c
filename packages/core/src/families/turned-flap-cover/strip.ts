import { negate, scale, subtract, zero, type Length } from '../../length/length.js'
import type { Piece } from '../../piece/piece.js'
import { piecesWithin } from '../../piece/plies.js'
import { bookPanels, flapPanel } from '../book.js'
import type { Job } from '../contract.js'
import {
  centred,
  foldsBetween,
  level,
  openingBelow,
  plainStrip,
  totalWidth,
  upright,
  type Strip,
  type StripLine,
} from '../strip.js'
import type { ResolvedOptions, TurnedFlapOptions } from './options.js'
import type { Body } from './size.js'

/** The strip laid flat: flap, back, spine, front, flap, all one cloth. */
export function layStrip(
  job: Job<TurnedFlapOptions>,
  { bulk, edge, width, height, flap, turnIn, fitWidth, fitHeight }: Body,
  pieces: readonly Piece[],
  { construction, endHem, innerHalf }: ResolvedOptions,
): Strip {
  const ends = flap > zero ? flap : zero
  const panels = [
    { ...flapPanel('back', ends), measureFirst: true },
    ...bookPanels(job.object, fitWidth.finished, bulk),
    { ...flapPanel('front', ends), measureFirst: true },
  ]
  const high = fitHeight.finished
  const total = totalWidth(panels)
  const single = construction === 'single'
  const out = single ? { x: endHem, y: turnIn } : { x: edge, y: edge }
  const inner = piecesWithin(pieces)
  return {
    ...plainStrip(panels, high),
    cutPieces: [{ piece: 'outer', at: [negate(out.x), negate(out.y)], width: width.cut, height: height.cut }],
    areas: inner.map(piece =>
      centred(piece.id, [piece.width.cut, piece.height.cut], { left: zero, room: total, high }),
    ),
    lines: [
      ...foldsBetween(panels, high),
      ...(single ? hemLines : turnedLines)({
        total,
        high,
        loose: innerHalf === 'open' ? scale(ends, 1 / 2) : zero,
      }),
    ],
  }
}

interface Sewn {
  readonly total: Length
  readonly high: Length
  /** How much of each flap, from its end, is left unsewn at top and bottom. */
  readonly loose: Length
}

function hemLines({ total, high, loose }: Sewn): readonly StripLine[] {
  return [upright('hem', zero, high), upright('hem', total, high), ...topAndBottom({ total, high, loose })]
}

/** Edge-stitched all round; turned through the middle third of a long side. */
function turnedLines({ total, high, loose }: Sewn): readonly StripLine[] {
  return [
    upright('stitch', zero, high),
    upright('stitch', total, high),
    ...topAndBottom({ total, high, loose }),
    ...openingBelow(high, { left: zero, room: total }, scale(total, 1 / 3)),
  ]
}

function topAndBottom({ total, high, loose }: Sewn): readonly StripLine[] {
  return [zero, high].map(y => level('stitch', y, loose, subtract(total, loose)))
}
