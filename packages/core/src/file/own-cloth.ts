import { alike } from '../material/cut-from.js'
import type { CoverFile, TypedCloth } from './cover-schema.js'

/**
 * The file with a piece cut from a cloth of its own, which comes among the cover’s cloths unless a layer or a cloth of
 * that name is there already; without one, from its role’s again. Cloths that nothing is cut from any more go.
 */
export function cutPieceFrom(file: CoverFile, piece: string, cloth?: TypedCloth): CoverFile {
  const { cutFrom: before = {}, cloths: had = [], ...rest } = file
  const others = Object.entries(before).filter(([id]) => id !== piece)
  const cutFrom = Object.fromEntries(cloth ? [...others, [piece, cloth.name] as const] : others)
  const named = (name: string, names: readonly string[]) => names.some(other => alike(other, name))
  const known = [...file.layers, ...had].map(({ name = '' }) => name)
  const isNew = cloth && !named(cloth.name, known)
  const cloths = [...had, ...(isNew ? [cloth] : [])].filter(({ name }) => named(name, Object.values(cutFrom)))
  return {
    ...rest,
    ...(cloths.length > 0 && { cloths }),
    ...(Object.keys(cutFrom).length > 0 && { cutFrom }),
  }
}

/** The file with a word on one piece; an empty one takes it away. */
export function notePiece(file: CoverFile, piece: string, note: string): CoverFile {
  const { pieceNotes: before = {}, ...rest } = file
  const others = Object.entries(before).filter(([id]) => id !== piece)
  const entries = note.trim() === '' ? others : [...others, [piece, note] as const]
  return entries.length > 0 ? { ...rest, pieceNotes: Object.fromEntries(entries) } : rest
}

/** The file with a piece said to be pieced, and so made larger and trimmed, or not. */
export function setPieced(file: CoverFile, piece: string, isPieced: boolean): CoverFile {
  const { pieced: before = [], ...rest } = file
  const pieced = [...before.filter(id => id !== piece), ...(isPieced ? [piece] : [])]
  return pieced.length > 0 ? { ...rest, pieced } : rest
}
