import { scale, zero, type Length } from '../../length/length.js'
import { layerOf, outerOf, quiltedTakeUp, type Layer } from '../../material/layer.js'
import type { Piece } from '../../piece/piece.js'
import { beforeQuilting } from '../../piece/quilting.js'
import { because, less, twice, type Reason } from '../../piece/reason.js'
import { sideRoundedDown, sideRoundedUp, type Side } from '../../piece/side.js'
import type { Job } from '../contract.js'
import type { ResolvedOptions, SlipCoverOptions } from './options.js'
import type { Body } from './size.js'

/** Every piece of the cover, body first. Source: docs/craft.md, Slip-on cover. */
export function cutPieces(
  job: Job<SlipCoverOptions>,
  body: Body,
  options: ResolvedOptions,
): readonly Piece[] {
  const { stack } = job
  const lining = layerOf(stack, 'lining')
  return [
    outerPiece(job, body),
    ...(lining
      ? [{ id: 'lining', role: 'lining', count: 1, width: body.width, height: body.height } as const]
      : []),
    ...stack
      .filter(layer => layer.role === 'interfacing' || layer.role === 'padding')
      .map(layer => innerPiece(job, body, layer)),
    ...flapPieces(job, body, options),
  ]
}

/** How deep a flap comes out when its cut is rounded: what folds back inside the board. */
export function flapAsCut(width: Side, seam: Length, { flapStyle }: ResolvedOptions): Length {
  const panel = flapStyle === 'folded' ? scale(width.cut, 1 / 2) : width.cut
  return (panel - seam * (flapStyle === 'folded' ? 1 : 2)) as Length
}

function outerPiece(job: Job<SlipCoverOptions>, body: Body): Piece {
  const { width, height } = body
  const outer = { id: 'outer', role: 'outer', count: 1 } as const
  if (!outerOf(job.stack).quilted) return { ...outer, width, height }
  return {
    ...outer,
    width: quiltedSide(job, becauseOfCut('width', width)),
    height: quiltedSide(job, becauseOfCut('height', height)),
    trimTo: { piece: trimmedLike(job), width: width.cut, height: height.cut },
  }
}

/** Interfacing or padding: the body's cut, less its inset at each edge; rounded down, for it must stay inside. */
function innerPiece(job: Job<SlipCoverOptions>, body: Body, layer: Layer): Piece {
  const inner = { id: layer.role, role: layer.role, count: 1 }
  const reasonsFor = (name: 'width' | 'height') => [
    ...because(`outer’s cut ${name}`, body[name].cut),
    ...less('inset, twice', scale(layer.inset, 2)),
  ]
  const width = sideRoundedDown(reasonsFor('width'), job.grid)
  const height = sideRoundedDown(reasonsFor('height'), job.grid)
  if (!layer.quilted || width.cut <= zero || height.cut <= zero) return { ...inner, width, height }
  return {
    ...inner,
    width: quiltedSide(job, becauseOfCut('width', width)),
    height: quiltedSide(job, becauseOfCut('height', height)),
    trimTo: { piece: trimmedLike(job), width: width.cut, height: height.cut },
  }
}

function flapPieces(
  job: Job<SlipCoverOptions>,
  { height }: Body,
  options: ResolvedOptions,
): readonly Piece[] {
  const { seam, grid } = job
  const { flapStyle, flapDepth } = options
  const tall = sideRoundedUp(because('outer’s cut height', height.cut), grid)
  const flap = (id: string, role: 'outer' | 'lining', reasons: readonly Reason[]): Piece => {
    return { id, role, count: 2, width: sideRoundedUp(reasons, grid), height: tall }
  }
  if (flapStyle === 'folded')
    return [flap('flap', 'outer', [...twice('flap depth', flapDepth), ...twice('seam', seam)])]
  const faced = [...because('flap depth', flapDepth), ...twice('seam', seam)]
  return [flap('flap-outer', 'outer', faced), flap('flap-facing', 'lining', faced)]
}

function becauseOfCut(name: 'width' | 'height', side: Side): readonly Reason[] {
  return because(`${name} after trimming`, side.cut)
}

function quiltedSide({ stack, unit, grid }: Job<SlipCoverOptions>, reasons: readonly Reason[]): Side {
  return sideRoundedUp(beforeQuilting(reasons, quiltedTakeUp(stack), unit), grid)
}

function trimmedLike({ stack }: Job<SlipCoverOptions>): string {
  return layerOf(stack, 'lining') ? 'lining' : 'outer'
}
