import { add, longest, scale, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { layerOf, outerOf, totalThickness, type Layer } from '../../material/layer.js'
import type { Piece } from '../../piece/piece.js'
import { insetPieces, plyPiece, type PanelCut } from '../../piece/plies.js'
import { because, times, type Reason } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedUp } from '../../piece/side.js'
import type { Job } from '../contract.js'
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
    ...(padding ? [wall.panel ? quiltable(job, wall, padding) : paddingAlone(job, panel)] : []),
    ...(lining ? [{ id: 'lining', role: 'lining', ...panel } as const] : []),
    ...(options.edge === 'bound' ? bindings(job, wall) : []),
  ]
}

function paddingAlone(job: Job<SleeveOptions>, panel: PanelCut): Piece {
  const [piece] = insetPieces(job, panel, ['padding'])
  if (!piece) throw new Error('A padded sleeve has no padding')
  return piece
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
  return { id: layer.role, role: layer.role, count: 2, ...panel, trimTo }
}

/** Round three sides after the walls are joined, and over each mouth before. Straight grain, folded in four. */
function bindings(job: Job<SleeveOptions>, { width, height }: Wall): readonly Piece[] {
  const { grid, unit, stack } = job
  const wall = totalThickness(stack)
  return [
    {
      id: 'binding',
      role: 'binding',
      count: 1,
      width: sideRoundedUp(
        [
          ...becauseOfCut('both sides', height, 2),
          ...becauseOfCut('the bottom', width),
          ...because('to join and turn in', customary(2, unit)),
        ],
        grid,
      ),
      height: sideRoundedUp(stripWidth(job, scale(wall, 2)), grid),
      measureFirst: true,
    },
    {
      id: 'mouth-binding',
      role: 'binding',
      count: 2,
      width: sideRoundedUp(
        [...becauseOfCut('width of a wall', width), ...because('to spare', customary(1, unit))],
        grid,
      ),
      height: sideRoundedUp(stripWidth(job, wall), grid),
    },
  ]
}

/** The larger of 2½ in and 4·seam + what it goes over. */
function stripWidth({ options, seam, unit }: Job<SleeveOptions>, bulk: Length): readonly Reason[] {
  if (options.bindingWidth !== undefined) return because('as set', options.bindingWidth)
  const least = customary(5 / 2, unit)
  const folded = add(scale(seam, 4), bulk)
  if (longest(least, folded) === least) return because('folded in four', least)
  return [...times(4, 'seam, four times', seam), ...because('over the layers', bulk)]
}
