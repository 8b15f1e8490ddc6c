import { add, negate, scale, shortest, subtract, zero } from '../../length/length.js'
import { flapAsCut } from '../../piece/flap.js'
import type { Piece } from '../../piece/piece.js'
import { bookPanels, flapPanel } from '../book.js'
import type { Job } from '../contract.js'
import { level, plainStrip, placePanels, roundedCorners, upright, type Strip } from '../strip.js'
import type { ResolvedOptions, ZipAroundOptions } from './options.js'
import { flapCutting } from './pieces.js'
import type { Body } from './size.js'

/** Flap, back, spine, front, flap; the zip runs round three sides and stops short of the spine. */
export function layStrip(
  job: Job<ZipAroundOptions>,
  { bulk, width, height, fitWidth, fitHeight }: Body,
  pieces: readonly Piece[],
  options: ResolvedOptions,
): Strip {
  const flap = flapAsCut(pieces, flapCutting(job, options))
  const body = bookPanels(job.object, fitWidth.finished, bulk)
  const panels = [flapPanel('back', flap), ...body, flapPanel('front', flap)]
  const high = fitHeight.finished
  const right = add(flap, fitWidth.finished)
  const middle = add(flap, scale(fitWidth.finished, 1 / 2))
  const [before, after] = [subtract(middle, options.zipGap), add(middle, options.zipGap)]
  const lining = pieces.find(({ id }) => id === 'lining')
  const radius = shortest(options.cornerRadius, scale(high, 1 / 2))
  return {
    ...plainStrip(panels, high),
    cutPieces: [
      {
        piece: 'outer',
        at: [subtract(flap, job.seam), negate(job.seam)],
        width: width.cut,
        height: height.cut,
      },
    ],
    areas: lining
      ? [
          {
            piece: 'lining',
            at: [
              subtract(middle, scale(lining.width.cut, 1 / 2)),
              scale(subtract(high, lining.height.cut), 1 / 2),
            ],
            width: lining.width.cut,
            height: lining.height.cut,
          },
        ]
      : [],
    lines: [
      ...placePanels(panels)
        .slice(2, -1)
        .map(({ x }) => upright('fold', x, high)),
      upright('zip', flap, high),
      upright('zip', right, high),
      ...[zero, high].flatMap(y => [level('zip', y, flap, before), level('zip', y, after, right)]),
    ],
    corners: roundedCorners(flap, right, high, radius),
  }
}
