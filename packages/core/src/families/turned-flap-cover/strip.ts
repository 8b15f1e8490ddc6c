import { negate, scale, zero, type Length } from '../../length/length.js'
import type { Piece } from '../../piece/piece.js'
import { piecesWithin } from '../../piece/plies.js'
import { bookPanels, flapPanel } from '../book.js'
import type { Job } from '../contract.js'
import {
  allRound,
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
  { construction, endHem }: ResolvedOptions,
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
    lines: [...foldsBetween(panels, high), ...(single ? hemLines(total, high) : turnedLines(total, high))],
  }
}

function hemLines(total: Length, high: Length): readonly StripLine[] {
  return [
    upright('hem', zero, high),
    upright('hem', total, high),
    level('stitch', zero, zero, total),
    level('stitch', high, zero, total),
  ]
}

/** Edge-stitched all round; turned through the middle third of a long side. */
function turnedLines(total: Length, high: Length): readonly StripLine[] {
  return [
    ...allRound('stitch', total, high),
    ...openingBelow(high, { left: zero, room: total }, scale(total, 1 / 3)),
  ]
}
