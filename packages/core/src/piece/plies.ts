import { scale, zero, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import { isBacking, layerOf, pliesOf, quiltedTakeUp, type Layer, type Stack } from '../material/layer.js'
import type { Role } from '../material/role.js'
import type { Piece } from './piece.js'
import { beforeQuilting } from './quilting.js'
import { less } from './reason.js'
import { becauseOfCut, sideRoundedDown, sideRoundedUp, type Side } from './side.js'

/** What cutting a ply asks of a job. */
export interface Cutting {
  readonly stack: Stack
  readonly unit: Unit
  readonly grid: Length
}

/** A panel of the cover as it is cut. */
export interface PanelCut {
  readonly width: Side
  readonly height: Side
  /** How many of it. */
  readonly count: number
}

/** The outer, and the lining where there is one, of a panel; a quilted outer is cut larger and trimmed. */
export function outerAndLining(job: Cutting, panel: PanelCut): readonly Piece[] {
  const outer = layerOf(job.stack, 'outer')
  const lining = layerOf(job.stack, 'lining')
  return [
    ...(outer ? [plyPiece(job, outer, panel)] : []),
    ...(lining ? [{ id: lining.role, role: lining.role, ...panel }] : []),
  ]
}

/**
 * The panel's pieces of the given roles, each less its inset at every edge; rounded down, for they must stay inside.
 * What lies behind the outer and the lining is cut twice, what lies behind neither not at all.
 */
export function insetPieces(job: Cutting, panel: PanelCut, roles: readonly Role[]): readonly Piece[] {
  return job.stack
    .filter(({ role }) => roles.includes(role))
    .flatMap(layer => {
      const count = panel.count * pliesOf(layer, job.stack)
      return count > 0 ? [plyPiece(job, layer, { ...insetPanel(job, panel, layer), count })] : []
    })
}

/** Of a panel’s pieces, those that end inside it and are not cut larger to be trimmed: what is drawn within its edges. */
export function piecesWithin(pieces: readonly Piece[]): readonly Piece[] {
  return pieces.filter(piece => isBacking(piece) && !piece.trimTo)
}

/** A ply at the size of its panel; where it is quilted, cut to size / (1 − take-up) + ½ in and trimmed to the lining. */
export function plyPiece(job: Cutting, { role, quilted }: Layer, panel: PanelCut): Piece {
  const piece = { id: role, role, ...panel }
  if (!quilted || panel.width.cut <= zero || panel.height.cut <= zero) return piece
  return { ...piece, ...quiltedSides(job, panel) }
}

function insetPanel({ grid }: Cutting, { count, width, height }: PanelCut, { inset }: Layer): PanelCut {
  const inside = (name: string, side: Side) =>
    sideRoundedDown(
      [...becauseOfCut(`outer’s cut ${name}`, side), ...less('inset, twice', scale(inset, 2))],
      grid,
    )
  return { count, width: inside('width', width), height: inside('height', height) }
}

function quiltedSides({ stack, unit, grid }: Cutting, { width, height }: PanelCut): Partial<Piece> {
  const enlarge = (name: string, side: Side) =>
    sideRoundedUp(
      beforeQuilting(becauseOfCut(`${name} after trimming`, side), quiltedTakeUp(stack), unit),
      grid,
    )
  return {
    width: enlarge('width', width),
    height: enlarge('height', height),
    trimTo: { piece: layerOf(stack, 'lining') ? 'lining' : 'outer', width: width.cut, height: height.cut },
  }
}
