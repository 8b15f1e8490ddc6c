import {
  sayUnit,
  sizeOfStashPiece,
  type MaterialRow,
  type StashPieceBody,
  type StashPieceRow,
  type Unit,
} from '@snowdrift/core'
import type { StashEntry } from './stash-csv.js'

/** What of a table is new: materials that the stash has none of, and pieces more of those that it has. */
export interface NewEntries {
  readonly materials: readonly StashEntry[]
  readonly pieces: readonly { readonly materialId: string; readonly pieces: readonly StashPieceBody[] }[]
  /** Materials of the table that are in the stash already. */
  readonly known: number
}

/** A table that was written here and comes in again adds nothing: what is there, by name and role, is left as it is. */
export function leaveOutKnown(
  entries: readonly StashEntry[],
  materials: readonly MaterialRow[],
  pieces: readonly StashPieceRow[],
): NewEntries {
  const found = entries.map(entry => ({ entry, row: materials.find(row => isSame(row, entry)) }))
  return {
    materials: found.flatMap(({ entry, row }) => (row ? [] : [entry])),
    known: found.filter(({ row }) => row).length,
    pieces: found.flatMap(({ entry, row }) => {
      if (!row) return []
      const own = pieces.filter(({ materialId }) => materialId === row.id)
      const more = piecesMore(entry, own, row.unit)
      return more.length > 0 ? [{ materialId: row.id, pieces: more }] : []
    }),
  }
}

function isSame({ material: { name, role } }: MaterialRow, { material }: StashEntry): boolean {
  return (
    name.trim().toLowerCase() === material.material.name.trim().toLowerCase() &&
    role === material.material.role
  )
}

/** Each piece of the stash stands for one of the table; what is left of the table is more. Lengths say their unit. */
function piecesMore(
  { pieces, material: { unit } }: StashEntry,
  own: readonly StashPieceRow[],
  ownUnit: Unit,
): readonly StashPieceBody[] {
  const left = own.map(piece => fingerprint(piece, ownUnit))
  return pieces.flatMap(piece => {
    const at = left.indexOf(fingerprint(piece, unit))
    if (at < 0) return [inUnit(piece, unit, ownUnit)]
    left.splice(at, 1)
    return []
  })
}

function fingerprint(piece: StashPieceBody, unit: Unit): string {
  const { source, width, length, count, note } = piece
  const size = sizeOfStashPiece(piece, unit)
  return JSON.stringify([source, size?.width ?? width, size?.length ?? length, count, note])
}

function inUnit(piece: StashPieceBody, unit: Unit, into: Unit): StashPieceBody {
  if (unit === into) return piece
  const said = (side: StashPieceBody['width']) => (side === null ? null : sayUnit(side, unit))
  return { ...piece, width: said(piece.width), length: said(piece.length) }
}
