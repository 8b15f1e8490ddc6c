import { scale, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { layerOf, outerOf, pliesOf, totalThickness, type Layer } from '../../material/layer.js'
import type { Piece } from '../../piece/piece.js'
import { insetPieces, plyPiece, type PanelCut } from '../../piece/plies.js'
import { because, less, times, totalOf, type Reason } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedUp } from '../../piece/side.js'
import { cutSince, type Job } from '../contract.js'
import type { ResolvedOptions, SleeveOptions } from './options.js'
import type { Wall } from './size.js'

/** Two walls of every layer; bound, with the strips that bind them. Source: docs/craft.md, Sleeve. */
export function cutPieces(job: Job<SleeveOptions>, wall: Wall, options: ResolvedOptions): readonly Piece[] {
  const { stack } = job
  const lining = layerOf(stack, 'lining')
  const padding = layerOf(stack, 'padding')
  const panel: PanelCut = { width: wall.width, height: wall.height, count: 2 }
  return [
    quiltable(job, wall, outerOf(stack)),
    ...(padding ? (wall.panel ? [quiltable(job, wall, padding)] : insetPieces(job, panel, ['padding'])) : []),
    ...insetPieces(job, panel, cutSince(job, 'interfacing')),
    ...(lining ? [{ id: 'lining', role: 'lining', ...panel } as const] : []),
    ...(options.edge === 'bound' ? bindings(job, wall, options) : []),
  ]
}

/** A ply of the wall; quilted, as large as the panel before it is trimmed. */
function quiltable(job: Job<SleeveOptions>, wall: Wall, layer: Layer): Piece {
  const { width, height, panel } = wall
  if (!panel) return plyPiece(job, layer, { width, height, count: 2 })
  const trimTo = {
    piece: layerOf(job.stack, 'lining') ? 'lining' : 'outer',
    width: width.cut,
    height: height.cut,
  }
  const plies = Math.max(1, pliesOf(layer, job.stack))
  return { id: layer.role, role: layer.role, count: 2 * plies, ...panel, trimTo }
}

/** Round three sides along the stitch line after the walls are joined, and over each mouth before. Straight grain, folded in four. */
function bindings(job: Job<SleeveOptions>, wall: Wall, { mouth }: ResolvedOptions): readonly Piece[] {
  const { grid, unit, stack } = job
  const bulk = totalThickness(stack)
  const binding: Piece = {
    id: 'binding',
    role: 'binding',
    count: 1,
    width: sideRoundedUp(
      [...alongThreeSides(job, wall), ...because('to join and turn in', customary(2, unit))],
      grid,
    ),
    height: sideRoundedUp(stripWidth(job, scale(bulk, 2)), grid),
    measureFirst: true,
  }
  if (mouth === 'plain') return [binding]
  return [
    binding,
    {
      id: 'mouth-binding',
      role: 'binding',
      count: 2,
      width: sideRoundedUp(
        [...becauseOfCut('width of a wall', wall.width), ...because('to spare', customary(1, unit))],
        grid,
      ),
      height: sideRoundedUp(stripWidth(job, bulk), grid),
    },
  ]
}

/** 2·(cut height − seam) + (cut width − 2·seam). */
function alongThreeSides(
  { seam, reckoning }: Job<SleeveOptions>,
  { width, height }: Wall,
): readonly Reason[] {
  return [
    ...becauseOfCut('both sides', height, 2),
    ...becauseOfCut('the bottom', width),
    ...(reckoning === 'first' ? [] : less('it runs on the seam line', scale(seam, 4))),
  ]
}

/** The larger of 2½ in and 3·seam + ½ in + what it goes over. */
function stripWidth({ options, seam, unit, reckoning }: Job<SleeveOptions>, bulk: Length): readonly Reason[] {
  if (options.bindingWidth !== undefined) return because('as set', options.bindingWidth)
  const least = customary(5 / 2, unit)
  const folded =
    reckoning === 'first'
      ? [...times(4, 'seam, four times', seam), ...because('over the layers', bulk)]
      : [
          ...times(3, 'seam, three times', seam),
          ...because('to fold over the stitches', customary(1 / 2, unit)),
          ...because('over the layers', bulk),
        ]
  return totalOf(folded) <= least ? because('folded in four', least) : folded
}
