import { add, longest, negate, subtract, zero } from '../../length/length.js'
import type { Piece } from '../../piece/piece.js'
import { piecesWithin } from '../../piece/plies.js'
import { totalOf } from '../../piece/reason.js'
import { bookPanels } from '../book.js'
import type { Job } from '../contract.js'
import { centred, foldsBetween, level, plainStrip, totalWidth, type Panel, type Strip } from '../strip.js'
import { bodyOf, strapPlace } from './books.js'
import type { AdjustableWrapOptions, ResolvedOptions } from './options.js'
import type { Body } from './size.js'

/** Fixed flap at the left, the largest book, the tapered free end at the right with the strap across it. */
export function layStrip(
  job: Job<AdjustableWrapOptions>,
  body: Body,
  pieces: readonly Piece[],
  options: ResolvedOptions,
): Strip {
  const { bulk, turnedEdge, width, height, finishedWidth, largest, fitHeight } = body
  const around = totalOf(bodyOf(job, bulk, largest))
  const free = longest(zero, subtract(subtract(finishedWidth, options.fixedFlap), around))
  const panels: readonly Panel[] = [
    { id: 'fixed-flap', name: 'fixed flap', kind: 'flap', width: options.fixedFlap },
    ...bookPanels(largest, around, bulk),
    { id: 'free-end', name: 'free end', kind: 'flap', width: free },
  ]
  const high = fitHeight.finished
  const total = totalWidth(panels)
  const edge = add(job.seam, turnedEdge)
  const strap = strapPlace(job, options)
  const inner = piecesWithin(pieces)
  const corner = (y: typeof high, down: 1 | -1) =>
    ({
      at: [total, y],
      towards: [-1, down],
      along: options.taperAlong,
      across: options.taperAcross,
      round: false,
    }) as const
  return {
    ...plainStrip(panels, high),
    cutPieces: [{ piece: 'outer', at: [negate(edge), negate(edge)], width: width.cut, height: height.cut }],
    areas: inner.map(({ id, width: wide, height: tall }) =>
      centred(id, [wide.cut, tall.cut], { left: zero, room: total, high }),
    ),
    lines: [
      ...foldsBetween(panels, high),
      level('stitch', zero, zero, options.fixedFlap),
      level('stitch', high, zero, options.fixedFlap),
    ],
    shapes: [
      {
        piece: 'strap',
        name: 'strap',
        face: 'inside',
        at: [subtract(subtract(total, strap.from), strap.width), zero],
        width: strap.width,
        height: high,
      },
    ],
    corners:
      options.taperAlong > zero && options.taperAcross > zero ? [corner(zero, 1), corner(high, -1)] : [],
  }
}
