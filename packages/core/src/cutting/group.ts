import { mayLieAcross, turnOf } from './turns.js'
import { absentLayer } from './absent-layer.js'
import type { Length } from '../length/length.js'
import { clothOf, type CutFrom } from '../material/cut-from.js'
import type { Layer } from '../material/layer.js'
import type { Material } from '../material/material.js'
import type { Role } from '../material/role.js'
import type { Turn } from '../nest/request.js'
import { namePiece } from '../extras/name-piece.js'
import type { Piece } from '../piece/piece.js'
import type { PrintPlace } from './print-places.js'

/** A cover whose pieces are to be cut. */
export interface CoverToCut {
  readonly id: string
  readonly name: string
  readonly pieces: readonly Piece[]
  readonly stack: readonly Layer[]
  /** What single pieces are cut from where that is not the cloth of their role. */
  readonly cutFrom: CutFrom
  /** Where pieces would lie if the cover were laid flat, so that the print can run on; nothing is matched without. */
  readonly places?: readonly PrintPlace[]
}

/** All pieces that come from one material, of one cover or of several. */
export interface CuttingGroup {
  /** Alike for the same role and material, whatever the order of the covers. */
  readonly key: string
  readonly role: Role
  /** The material as the layers name it; empty where none is named. */
  readonly material: string
  /** As the layer has it; nothing where no layer names it. */
  readonly thickness: Length
  readonly shrinkage: number
  readonly washed: boolean
  readonly print: Layer['print']
  readonly pieces: readonly GroupPiece[]
}

/** One copy of a piece to be cut. */
export interface GroupPiece {
  /** Names cover, piece and copy: alike as long as those are. */
  readonly id: string
  readonly label: string
  readonly coverId: string
  readonly piece: string
  /** From 1. */
  readonly copy: number
  readonly width: Length
  readonly height: Length
  readonly turn: Turn
  /** How it may lie where no sheet yields them all otherwise: card linings across their grain. */
  readonly turnIfNeeded?: Turn
}

/** Sorts the pieces of covers by what they are cut from, in the order in which the covers name it. */
export function groupPieces(covers: readonly CoverToCut[]): readonly CuttingGroup[] {
  const groups = new Map<string, CuttingGroup>()
  for (const cover of covers)
    for (const piece of cover.pieces) {
      const layer = materialOf(cover, piece)
      const key = groupKey(layer)
      const before = groups.get(key)
      groups.set(key, {
        key,
        role: layer.role,
        material: layer.name,
        thickness: layer.thickness,
        shrinkage: layer.shrinkage,
        washed: layer.washed,
        print: layer.print,
        pieces: [...(before?.pieces ?? []), ...copiesOf(cover, piece, layer, covers.length > 1)],
      })
    }
  return [...groups.values()]
}

/** Names the group of all that is cut from a material. */
export function groupKey({ role, name }: Pick<Material, 'role' | 'name'>): string {
  return `${role} ${name.trim().toLowerCase()}`.trim()
}

/** What a piece is cut from: its own cloth, or the layer of its role. */
export function materialOf(
  { stack, cutFrom }: Pick<CoverToCut, 'stack' | 'cutFrom'>,
  { id, role }: Pick<Piece, 'id' | 'role'>,
): Material {
  return clothOf({ stack, cutFrom }, id, role) ?? absentLayer(role)
}

/** What of a cloth decides how pieces lie on it; what it does not say is nothing of note. */
export interface ClothTraits {
  readonly shrinkage?: number | undefined
  readonly washed?: boolean | undefined
  readonly print?: Layer['print'] | undefined
}

/** The group as it is when it comes from a certain cloth, whose own shrinkage and print hold then. */
export function cutFrom(
  group: CuttingGroup,
  { shrinkage = 0, washed = false, print = 'none' }: ClothTraits,
): CuttingGroup {
  const turn = (piece: GroupPiece): Turn => {
    if (print === 'one-way') return 'none'
    return print === 'two-way' && piece.turn === 'quarter' ? 'half' : piece.turn
  }
  return {
    ...group,
    shrinkage,
    washed,
    print,
    pieces: group.pieces.map(piece => ({ ...piece, turn: turn(piece) })),
  }
}

/** Names a copy of a piece of a cover, from 1. */
export function groupPieceId(coverId: string, piece: string, copy: number): string {
  return `${coverId} ${piece} ${copy}`
}

function copiesOf(cover: CoverToCut, piece: Piece, layer: Material, several: boolean): readonly GroupPiece[] {
  const { id, count, blank } = piece
  const name = namePiece(id)
  return Array.from({ length: count }, (_, index) => ({
    id: groupPieceId(cover.id, id, index + 1),
    label: [name, count > 1 ? String(index + 1) : '', several ? `· ${cover.name}` : '']
      .filter(Boolean)
      .join(' '),
    coverId: cover.id,
    piece: id,
    copy: index + 1,
    // What is cut on the bias is laid as the square that it comes from.
    width: blank?.cut ?? piece.width.cut,
    height: blank?.cut ?? piece.height.cut,
    turn: turnOf(piece, layer),
    ...(mayLieAcross(piece, layer) && { turnIfNeeded: 'quarter' as const }),
  }))
}
