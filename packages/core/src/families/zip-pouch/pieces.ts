import type { Notion } from '../../piece/notion.js'
import type { Piece } from '../../piece/piece.js'
import { insetPieces, outerAndLining } from '../../piece/plies.js'
import { because, less } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedUp } from '../../piece/side.js'
import { layerOf } from '../../material/layer.js'
import type { Job } from '../contract.js'
import type { ResolvedOptions, ZipPouchOptions } from './options.js'
import type { Wall } from './size.js'

/** Two walls, and a scoop pocket for the front. Source: docs/craft.md, Zip pouch. */
export function cutPieces(
  job: Job<ZipPouchOptions>,
  { width, height }: Wall,
  { pocket, pocketDrop }: ResolvedOptions,
): readonly Piece[] {
  const panel = { width, height, count: 2 }
  const drop = sideRoundedUp(
    [...becauseOfCut('wall’s cut height', height), ...less('below the mouth', pocketDrop)],
    job.grid,
  )
  return [
    ...outerAndLining(job, panel),
    ...insetPieces(job, panel, ['interfacing', 'padding']),
    ...(pocket ? [{ id: 'pocket-outer', role: 'outer', count: 1, width, height: drop } as const] : []),
    ...(pocket && layerOf(job.stack, 'lining')
      ? [{ id: 'pocket-lining', role: 'lining', count: 1, width, height: drop } as const]
      : []),
  ]
}

/** A nylon zip, 3 in longer than the mouth: it is trimmed when its ends are sewn in. */
export function zipFor(
  { grid }: Job<ZipPouchOptions>,
  { width }: Wall,
  { zipExtra }: ResolvedOptions,
): Notion {
  const length = sideRoundedUp(
    [...becauseOfCut('wall’s cut width', width), ...because('longer than the mouth', zipExtra)],
    grid,
  )
  return { id: 'zip', kind: 'zip', count: 1, length, measureFirst: false }
}
