import {
  readMaterialBody,
  readStashPieceBody,
  stashTable,
  type ColumnMatch,
  type Issue,
  type MaterialBody,
  type MaterialRow,
  type StashColumn,
  type StashPieceBody,
  type StashPieceRow,
  type Unit,
} from '@snowdrift/core'
import { readTable, unguard, writeTable, type Line, type Refused } from './read-table.js'

export interface StashEntry {
  readonly material: MaterialBody
  readonly pieces: readonly StashPieceBody[]
}

/** The stash as a table that any spreadsheet reads. */
export function writeStashCsv(materials: readonly MaterialRow[], pieces: readonly StashPieceRow[]): string {
  const byMaterial = new Map<string, StashPieceRow[]>()
  for (const piece of pieces) {
    const own = byMaterial.get(piece.materialId)
    if (own) own.push(piece)
    else byMaterial.set(piece.materialId, [piece])
  }
  const lines = materials.flatMap(({ id, unit, swatch, material, stock }) => {
    const own = byMaterial.get(id) ?? []
    const row = {
      ...material,
      unit,
      swatch,
      weave: stock.weave ?? '',
      repeat: stock.repeat ?? '',
      repeatAcross: stock.repeatAcross ?? '',
      usableWidth: stock.width ?? '',
      price: stock.price ?? '',
      notion: stock.notion ?? '',
    }
    return own.length === 0
      ? [row]
      : own.map(({ source, width, length, count, note }) => ({
          ...row,
          pieceSource: source,
          pieceWidth: width ?? '',
          pieceLength: length ?? '',
          pieceCount: count,
          pieceNote: note,
        }))
  })
  return writeTable(stashTable, lines)
}

export type ReadStashCsv = { readonly ok: true; readonly entries: readonly StashEntry[] } | Refused

/** Reads such a table; a cell without a unit is in `unit`. Lines of the same name, role and unit are one material. */
export function readStashCsv(text: string, unit: Unit, matched?: ColumnMatch<StashColumn>): ReadStashCsv {
  const entries: Entries = new Map()
  const read = readTable(text, stashTable, matched, line => takeLine(line, unit, entries))
  return read.ok ? { ok: true, entries: [...entries.values()] } : read
}

type Entries = Map<string, { readonly material: MaterialBody; readonly pieces: StashPieceBody[] }>

/** Adds what a line says to the entries; gives what is wrong with it. */
function takeLine(line: Line<StashColumn>, unit: Unit, entries: Entries): readonly Issue[] {
  const said = line.unit?.trim() || unit
  const key = [line.name, line.role ?? '', said].join('\u0000')
  const material = entries.has(key) ? undefined : readMaterialBody(materialOf(line, said))
  if (material && !material.ok) return material.issues
  if (material) entries.set(key, { material: material.value, pieces: [] })
  const entry = entries.get(key)
  // A table of widths and lengths is one of pieces, whether it calls them remnants or not.
  if (!entry || (!line.pieceSource && !(line.pieceWidth && line.pieceLength))) return []
  const piece = readStashPieceBody(entry.material.unit)(pieceOf(line))
  if (!piece.ok) return piece.issues
  entry.pieces.push(piece.value)
  return []
}

/** Of cloth that nobody measured. */
const usualThickness = '0.3 mm'

const numbers = ['shrinkage', 'stretchAlong', 'stretchAcross', 'squash', 'takeUp', 'seeThrough'] as const
const words = ['print', 'frays', 'stiffness'] as const

function materialOf(line: Line<StashColumn>, unit: string): unknown {
  const { name, role, thickness, swatch, washed, weave, repeat, repeatAcross, usableWidth, price, notion } =
    line
  return {
    unit,
    swatch: swatch || '#cccccc',
    material: {
      name: unguard(name),
      role: role || 'outer',
      thickness: thickness || usualThickness,
      ...given(line, numbers, Number),
      ...given(line, words, String),
      ...(washed && { washed: /^(true|yes|1)$/i.test(washed) }),
    },
    stock: {
      ...(weave && { weave }),
      ...(repeat && { repeat }),
      ...(repeatAcross && { repeatAcross }),
      ...(usableWidth && { width: usableWidth }),
      ...(price && { price: Number(price) }),
      ...(notion && { notion }),
    },
  }
}

function pieceOf({ pieceSource, pieceWidth, pieceLength, pieceCount, pieceNote }: Line<StashColumn>) {
  return {
    source: pieceSource || 'remnant',
    width: pieceWidth || null,
    length: pieceLength || null,
    ...(pieceCount && { count: Number(pieceCount) }),
    note: unguard(pieceNote) ?? '',
  }
}

function given<Value>(
  line: Line<StashColumn>,
  keys: readonly StashColumn[],
  read: (text: string) => Value,
): Readonly<Record<string, Value>> {
  return Object.fromEntries(keys.flatMap(key => (line[key] ? [[key, read(line[key])]] : [])))
}
