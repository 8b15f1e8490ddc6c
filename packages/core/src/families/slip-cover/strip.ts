import { add, scale, shortest, subtract, zero, type Length } from '../../length/length.js'
import { flapAsCut } from '../../piece/flap.js'
import type { Piece } from '../../piece/piece.js'
import { piecesWithin } from '../../piece/plies.js'
import { bookPanels, flapPanel } from '../book.js'
import type { Job } from '../contract.js'
import {
  centred,
  openingBelow,
  plainStrip,
  placePanels,
  upright,
  type Panel,
  type Strip,
  type StripLine,
} from '../strip.js'
import type { ResolvedOptions, SlipCoverOptions } from './options.js'
import { flapCutting } from './pieces.js'
import type { Body } from './size.js'

/** The cover laid flat with its flaps opened out: flap, back, spine, front, flap. */
export function layStrip(
  job: Job<SlipCoverOptions>,
  body: Body,
  pieces: readonly Piece[],
  options: ResolvedOptions,
): Strip {
  const { width, height, fitWidth, fitHeight, bulk } = body
  const flap = flapAsCut(pieces, flapCutting(job, options))
  const panels = [
    flapPanel('back', flap),
    ...bookPanels(job.object, fitWidth.finished, bulk),
    flapPanel('front', flap),
  ]
  const high = fitHeight.finished
  const edge = add(job.seam, body.turnedEdge)
  const inner = piecesWithin(pieces)
  return {
    ...plainStrip(panels, high),
    cutPieces: [
      {
        piece: 'outer',
        at: [subtract(flap, edge), subtract(zero, edge)],
        width: width.cut,
        height: height.cut,
      },
    ],
    areas: inner.map(piece =>
      centred(piece.id, [piece.width.cut, piece.height.cut], { left: flap, room: fitWidth.finished, high }),
    ),
    lines: [...panelLines(panels, high), ...openingLine(body, flap, options)],
  }
}

/** A seam where a flap joins the body, a fold at each side of the spine. */
function panelLines(panels: readonly Panel[], height: Length): readonly StripLine[] {
  return placePanels(panels)
    .slice(1)
    .map(({ x, kind }, index) => {
      const besideFlap = kind === 'flap' || panels[index]?.kind === 'flap'
      return upright(besideFlap ? 'seam' : 'fold', x, height)
    })
}

function openingLine(
  { fitWidth, fitHeight }: Body,
  flap: Length,
  options: ResolvedOptions,
): readonly StripLine[] {
  const free = subtract(fitWidth.finished, scale(options.flapDepth, 2))
  const length = shortest(options.turningOpening, free)
  return openingBelow(fitHeight.finished, { left: flap, room: fitWidth.finished }, length)
}
