import { add, longest, scale, shortest, subtract, zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { Piece } from '../../piece/piece.js'
import { largestReading } from '../../object/reading.js'
import type { Job } from '../contract.js'
import { layStations } from '../stations.js'
import {
  allRound,
  foldsBetween,
  plainStrip,
  totalWidth,
  type Panel,
  type Strip,
  type StripCorner,
} from '../strip.js'
import type { ResolvedOptions, SoftWrapOptions } from './options.js'
import { faceWidth } from './pieces.js'

/** Back, spine, front, fore-edge, flap with its rounded corners; zigzag round the raw edge. */
export function layStrip(
  job: Job<SoftWrapOptions>,
  pieces: readonly Piece[],
  options: ResolvedOptions,
): Strip {
  const face = faceWidth(job, options)
  const [outer] = pieces
  const high = outer?.height.cut ?? zero
  const flap = longest(zero, subtract(outer?.width.cut ?? zero, scale(add(face, options.spineWidth), 2)))
  const panels: readonly Panel[] = [
    { id: 'back', name: 'back', kind: 'board', side: 'back', width: face },
    { id: 'spine', name: 'spine', kind: 'spine', width: options.spineWidth },
    { id: 'front', name: 'front', kind: 'board', side: 'front', width: face },
    { id: 'fore-edge', name: 'fore-edge', kind: 'fore-edge', width: options.spineWidth },
    { id: 'flap', name: 'flap', kind: 'flap', width: job.sizing.mode === 'cut' ? flap : options.flap },
  ]
  const total = totalWidth(panels)
  const radius = shortest(customary(1, job.unit), panels.at(-1)?.width ?? zero, scale(high, 1 / 2))
  const corner = (y: typeof high, down: 1 | -1): StripCorner => ({
    at: [total, y],
    towards: [-1, down],
    along: radius,
    across: radius,
    round: true,
  })
  const sewn =
    options.signatures > 0
      ? layStations({
          unit: job.unit,
          signatures: options.signatures,
          contents: largestReading(job.object, 'contentsThickness') ?? zero,
          middle: add(face, scale(options.spineWidth, 1 / 2)),
          high,
        })
      : undefined
  const stiffener = pieces.find(({ id }) => id === 'stiffener')
  return {
    ...plainStrip(panels, high),
    cutPieces: [{ piece: 'outer', at: [zero, zero], width: outer?.width.cut ?? zero, height: high }],
    areas: stiffener
      ? [
          {
            piece: 'stiffener',
            at: [
              scale(customary(1 / 4, job.unit), 1 / 2),
              scale(subtract(high, stiffener.height.cut), 1 / 2),
            ],
            width: stiffener.width.cut,
            height: stiffener.height.cut,
          },
        ]
      : [],
    lines: [...foldsBetween(panels, high), ...allRound('stitch', total, high), ...(sewn?.lines ?? [])],
    holes: sewn?.holes ?? [],
    corners: [corner(zero, 1), corner(high, -1)],
  }
}
