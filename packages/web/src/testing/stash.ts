import type { CoverFile, CoverToCut, MaterialRow, StashPieceRow } from '@snowdrift/core'
import { plan, printPlaces, readCover } from '@snowdrift/core'
import { coverFile } from './files.js'

const stored = { version: 1, updatedAt: '2030-01-01T00:00:00.000Z' }

/** A cotton of the stash, in inches; what a test is about goes into `changes`. */
export function materialRow(id: string, changes: Partial<MaterialRow> = {}): MaterialRow {
  return {
    id,
    ...stored,
    unit: 'in',
    swatch: '#445566',
    material: { role: 'outer', name: 'Home-decor cotton', thickness: '0.5 mm' },
    stock: {},
    picture: 0,
    ...changes,
  }
}

/** A free remnant of 18 by 21 in. */
export function stashPiece(
  id: string,
  materialId: string,
  changes: Partial<StashPieceRow> = {},
): StashPieceRow {
  return {
    id,
    ...stored,
    materialId,
    source: 'remnant',
    width: '18',
    length: '21',
    count: 1,
    note: '',
    avoid: [],
    marks: [],
    state: 'free',
    coverId: null,
    ...changes,
  }
}

/** A cover as it is cut. */
export function coverToCut(changes: Partial<CoverFile> = {}): CoverToCut {
  const read = readCover(coverFile(changes))
  if (!read.ok) throw new Error(read.issues.map(({ message }) => message).join(' '))
  const cover = read.value
  const planned = plan(cover)
  return {
    id: 'ours',
    name: cover.name,
    pieces: planned.pieces,
    stack: cover.stack,
    cutFrom: cover.cutFrom,
    places: printPlaces(planned),
  }
}
