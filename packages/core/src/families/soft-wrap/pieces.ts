import { add, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { layerOf, outerOf, pliesOf, type Layer } from '../../material/layer.js'
import { largestReading } from '../../object/reading.js'
import type { Piece } from '../../piece/piece.js'
import { plyPiece, type PanelCut } from '../../piece/plies.js'
import { because, less, times, twice, type Reason } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedDown } from '../../piece/side.js'
import type { Job } from '../contract.js'
import { outerSides } from '../sized.js'
import type { ResolvedOptions, SoftWrapOptions } from './options.js'

/** One face of the cover: the page and its room. */
export function faceWidth(
  { object }: Pick<Job<unknown>, 'object'>,
  { foreEdgeRoom }: ResolvedOptions,
): Length {
  return add(largestReading(object, 'pageWidth') ?? zero, foreEdgeRoom)
}

/** All layers one size, their raw edges zigzagged together; the stiffener ends before the flap. */
export function cutPieces(job: Job<SoftWrapOptions>, options: ResolvedOptions): readonly Piece[] {
  const { object, grid, stack, unit } = job
  const faces: readonly Reason[] = [
    ...times(2, 'two pages', largestReading(object, 'pageWidth') ?? zero),
    ...twice('room at the fore-edge', options.foreEdgeRoom),
    ...times(2, 'spine and fore-edge', options.spineWidth),
  ]
  const panel = {
    count: 1,
    ...outerSides(job, {
      computed: {
        width: [...faces, ...because('flap', options.flap)],
        height: [
          ...because('height of the page', largestReading(object, 'pageHeight') ?? zero),
          ...twice('room at head and tail', options.headTailRoom),
        ],
      },
    }),
  }
  const lining = layerOf(stack, 'lining')
  const interfacing = layerOf(stack, 'interfacing')
  const stiffener: Piece = {
    id: 'stiffener',
    role: 'card',
    count: 1,
    width: sideRoundedDown([...faces, ...less('clear of the ends', customary(1 / 4, unit))], grid),
    height: sideRoundedDown(
      [
        ...becauseOfCut('outer’s cut height', panel.height),
        ...less('clear at head and tail', customary(1 / 2, unit)),
      ],
      grid,
    ),
  }
  return [
    plyPiece(job, outerOf(stack), panel),
    ...(lining ? [{ id: 'lining', role: 'lining', ...panel } as const] : []),
    ...(interfacing ? backing(job, interfacing, panel) : []),
    ...(options.stiffener ? [stiffener] : []),
  ]
}

/** Interfacing all that size, trimmed back after sewing; twice where it lies behind the lining too. */
function backing(job: Job<SoftWrapOptions>, layer: Layer, panel: PanelCut): readonly Piece[] {
  const count = panel.count * pliesOf(layer, job.stack)
  return count > 0 ? [plyPiece(job, layer, { ...panel, count })] : []
}
