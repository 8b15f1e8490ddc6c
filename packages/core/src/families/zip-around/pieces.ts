import { add, mm, scale, toMm, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { layerOf, outerOf } from '../../material/layer.js'
import type { Notion } from '../../piece/notion.js'
import type { Piece } from '../../piece/piece.js'
import { flapPieces, type FlapCutting } from '../../piece/flap.js'
import { insetPieces, plyPiece } from '../../piece/plies.js'
import { because, less, twice, type Reason } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedUp } from '../../piece/side.js'
import { cutSince, type Job } from '../contract.js'
import type { ResolvedOptions, ZipAroundOptions } from './options.js'
import type { Body } from './size.js'

/** Outer and foam, gussets, flaps, the centre lining, piping. Source: docs/craft.md, Zip-around cover. */
export function cutPieces(
  job: Job<ZipAroundOptions>,
  body: Body,
  options: ResolvedOptions,
): readonly Piece[] {
  const { stack } = job
  const panel = { width: body.width, height: body.height, count: 1 }
  const lining = layerOf(stack, 'lining')
  const gusset = gussetSides(job, body, options)
  return [
    plyPiece(job, outerOf(stack), panel),
    ...insetPieces(wholePadding(job), panel, ['padding', ...cutSince(job, 'interfacing')]),
    { id: 'gusset', role: 'outer', count: 2, ...gusset },
    ...(lining ? [{ id: 'gusset-lining', role: 'lining', count: 2, ...gusset } as const] : []),
    ...flapPieces(flapCutting(job, options), body.height),
    ...(lining ? [centreLining(job, body, options)] : []),
    pipingPiece(job, body, options),
  ]
}

/** Foam reaches the seam, which it is trimmed from afterwards. */
function wholePadding(job: Job<ZipAroundOptions>): Job<ZipAroundOptions> {
  return {
    ...job,
    stack: job.stack.map(layer => (layer.role === 'padding' ? { ...layer, inset: zero } : layer)),
  }
}

export function flapCutting(
  { seam, grid }: Job<ZipAroundOptions>,
  { flapStyle, flapDepth, cornerRadius }: ResolvedOptions,
): FlapCutting {
  return { style: flapStyle, depth: flapDepth, seam, grid, round: cornerRadius }
}

/** As long as half the run, a seam more at each end where the ends are faced. */
function gussetSides({ seam, grid }: Job<ZipAroundOptions>, body: Body, { gussetEnds }: ResolvedOptions) {
  const ends: readonly Reason[] = gussetEnds === 'faced' ? twice('seam at the ends', seam) : []
  return {
    width: sideRoundedUp([...body.halfRun.reasons, ...ends], grid),
    height: sideRoundedUp([...body.gussetWidth, ...twice('seam', seam)], grid),
  }
}

/** Between the flaps and 1 in under each, its short sides hemmed: ¼ and ⅜ in. */
function centreLining(
  { grid, unit }: Job<ZipAroundOptions>,
  { fitWidth, height }: Body,
  { flapDepth, liningOverlap }: ResolvedOptions,
): Piece {
  const hem = add(customary(1 / 4, unit), customary(3 / 8, unit))
  return {
    id: 'lining',
    role: 'lining',
    count: 1,
    width: sideRoundedUp(
      [
        ...because('finished width', fitWidth.finished),
        ...less('flaps, twice', scale(flapDepth, 2)),
        ...twice('under each flap', liningOverlap),
        ...twice('hem', hem),
      ],
      grid,
    ),
    height: sideRoundedUp(becauseOfCut('outer’s cut height', height), grid),
  }
}

/** A bias strip all round, cut from a square of √(length × width) + 2 in. */
function pipingPiece(
  { grid, unit }: Job<ZipAroundOptions>,
  { perimeter }: Body,
  { pipingStrip }: ResolvedOptions,
): Piece {
  const spare = customary(2, unit)
  const width = sideRoundedUp(
    [...because('seam line, all round', perimeter), ...because('to join', spare)],
    grid,
  )
  const height = sideRoundedUp(because('strip, as set', pipingStrip), grid)
  const area = mm(Math.sqrt(Math.max(0, toMm(width.cut) * toMm(height.cut))))
  const blank = sideRoundedUp(
    [...because('square root of length by width', area), ...because('to spare', spare)],
    grid,
  )
  return { id: 'piping', role: 'outer', count: 1, width, height, blank }
}

export function notionsFor(
  { grid, unit }: Job<ZipAroundOptions>,
  { halfRun, perimeter }: Body,
): readonly Notion[] {
  const long = (label: string, length: Length, extra: Length) =>
    sideRoundedUp([...because(label, length), ...because('to spare', extra)], grid)
  return [
    {
      id: 'zip',
      kind: 'zip',
      count: 1,
      length: sideRoundedUp([...halfRun.reasons, ...because('to spare', customary(3, unit))], grid),
      measureFirst: false,
    },
    {
      id: 'piping-cord',
      kind: 'cord',
      count: 1,
      length: long('seam line, all round', perimeter, customary(2, unit)),
      measureFirst: false,
    },
  ]
}
