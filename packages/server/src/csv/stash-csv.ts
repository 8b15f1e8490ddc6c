import {
  readMaterialBody,
  readStashPieceBody,
  type Issue,
  type MaterialBody,
  type MaterialRow,
  type StashPieceBody,
  type StashPieceRow,
  type Unit,
} from '@snowdrift/core'
import Papa from 'papaparse'

/** A line of the table: one material, and one of its pieces. A material with several pieces has several lines. */
const columns = [
  'name',
  'role',
  'unit',
  'thickness',
  'swatch',
  'weave',
  'print',
  'repeat',
  'usableWidth',
  'price',
  'notion',
  'shrinkage',
  'washed',
  'stretchAlong',
  'stretchAcross',
  'squash',
  'takeUp',
  'seeThrough',
  'frays',
  'stiffness',
  'pieceSource',
  'pieceWidth',
  'pieceLength',
  'pieceCount',
  'pieceNote',
] as const

type Line = Readonly<Record<(typeof columns)[number], string | number | boolean | undefined>>

export interface StashEntry {
  readonly material: MaterialBody
  readonly pieces: readonly StashPieceBody[]
}

export const mostCsvLines = 2000

/** The stash as a table that any spreadsheet reads. */
export function writeStashCsv(materials: readonly MaterialRow[], pieces: readonly StashPieceRow[]): string {
  const lines = materials.flatMap(({ id, unit, swatch, material, stock }) => {
    const own = pieces.filter(({ materialId }) => materialId === id)
    const row = {
      ...material,
      unit,
      swatch,
      weave: stock.weave ?? '',
      repeat: stock.repeat ?? '',
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
  return Papa.unparse({
    fields: [...columns],
    data: lines.map(line => columns.map(column => guard(line, column))),
  })
}

/** What a spreadsheet would take for a formula is written as text. */
function guard(line: Partial<Line>, column: (typeof columns)[number]): string | number | boolean {
  const value = line[column] ?? ''
  return typeof value === 'string' && /^[=+\-@\t\r]/.test(value) ? `'${value}` : value
}

export type ReadStashCsv =
  | { readonly ok: true; readonly entries: readonly StashEntry[] }
  | { readonly ok: false; readonly issues: readonly Issue[] }

/** Reads such a table. Lines of the same name, role and unit are one material. All of it reads, or nothing is taken. */
export function readStashCsv(text: string): ReadStashCsv {
  const parsed = Papa.parse<Readonly<Record<string, string>>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: header => header.trim(),
  })
  const unknown = (parsed.meta.fields ?? []).filter(field => !columns.some(column => column === field))
  if (unknown.length > 0 || !parsed.meta.fields?.includes('name')) {
    const message = `Expected columns among ${columns.join(', ')}, name among them; found ${(parsed.meta.fields ?? []).join(', ') || 'none'}.`
    return { ok: false, issues: [{ path: 'line 1', message }] }
  }
  if (parsed.data.length > mostCsvLines)
    return {
      ok: false,
      issues: [{ path: '', message: `Expected at most ${mostCsvLines} lines, found ${parsed.data.length}.` }],
    }
  const issues: Issue[] = parsed.errors.map(({ row, message }) => ({
    path: `line ${(row ?? 0) + 2}`,
    message,
  }))
  const entries = new Map<string, { readonly material: MaterialBody; readonly pieces: StashPieceBody[] }>()
  parsed.data.forEach((line, index) => {
    const path = `line ${index + 2}`
    const key = [line.name, line.role, line.unit].join('\u0000')
    const known = entries.get(key)
    const material = known ? undefined : readMaterialBody(materialOf(line))
    if (material && !material.ok) issues.push(...material.issues.map(issue => under(path, issue)))
    if (material?.ok) entries.set(key, { material: material.value, pieces: [] })
    if (!line.pieceSource) return
    const piece = readStashPieceBody((line.unit ?? 'in') as Unit)(pieceOf(line))
    if (piece.ok) entries.get(key)?.pieces.push(piece.value)
    else issues.push(...piece.issues.map(issue => under(path, issue)))
  })
  return issues.length > 0
    ? { ok: false, issues: issues.slice(0, 50) }
    : { ok: true, entries: [...entries.values()] }
}

const numbers = ['shrinkage', 'stretchAlong', 'stretchAcross', 'squash', 'takeUp', 'seeThrough'] as const
const words = ['print', 'frays', 'stiffness'] as const

function materialOf(line: Readonly<Record<string, string>>): unknown {
  const { name, role, unit, thickness, swatch, washed, weave, repeat, usableWidth, price, notion } = line
  return {
    unit: unit || 'in',
    swatch: swatch || '#cccccc',
    material: {
      name: unguard(name),
      role,
      thickness,
      ...given(line, numbers, Number),
      ...given(line, words, String),
      ...(washed && { washed: /^(true|yes|1)$/i.test(washed) }),
    },
    stock: {
      ...(weave && { weave }),
      ...(repeat && { repeat }),
      ...(usableWidth && { width: usableWidth }),
      ...(price && { price: Number(price) }),
      ...(notion && { notion }),
    },
  }
}

function pieceOf({
  pieceSource,
  pieceWidth,
  pieceLength,
  pieceCount,
  pieceNote,
}: Readonly<Record<string, string>>) {
  return {
    source: pieceSource,
    width: pieceWidth || null,
    length: pieceLength || null,
    ...(pieceCount && { count: Number(pieceCount) }),
    note: unguard(pieceNote) ?? '',
  }
}

function given<Value>(
  line: Readonly<Record<string, string>>,
  keys: readonly string[],
  read: (text: string) => Value,
): Readonly<Record<string, Value>> {
  return Object.fromEntries(keys.flatMap(key => (line[key] ? [[key, read(line[key])]] : [])))
}

function unguard(text: string | undefined): string | undefined {
  return text?.replace(/^'(?=[=+\-@])/, '')
}

function under(path: string, issue: Issue): Issue {
  return { path, message: `In ${path}, ${issue.path}: ${issue.message}` }
}
