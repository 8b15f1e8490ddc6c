import {
  readMaterialBody,
  readStashPieceBody,
  stashColumns,
  type ColumnMatch,
  type Issue,
  type MaterialBody,
  type MaterialRow,
  type StashColumn,
  type StashPieceBody,
  type StashPieceRow,
  type Unit,
} from '@snowdrift/core'
import Papa from 'papaparse'

type Line = Readonly<Record<StashColumn, string | number | boolean | undefined>>

export interface StashEntry {
  readonly material: MaterialBody
  readonly pieces: readonly StashPieceBody[]
}

export const mostCsvLines = 2000

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
    fields: [...stashColumns],
    data: lines.map(line => stashColumns.map(column => guard(line, column))),
  })
}

/** What a spreadsheet would take for a formula is written as text. */
function guard(line: Partial<Line>, column: StashColumn): string | number | boolean {
  const value = line[column] ?? ''
  return typeof value === 'string' && /^[=+\-@\t\r]/.test(value) ? `'${value}` : value
}

export type ReadStashCsv =
  | { readonly ok: true; readonly entries: readonly StashEntry[] }
  | {
      readonly ok: false
      readonly issues: readonly Issue[]
      /** How the columns are headed, where they are not ours. */
      readonly headings?: readonly string[]
    }

/**
 * Reads such a table, or one whose columns are matched to ours; a cell without a unit is in `unit`. Lines of the same
 * name, role and unit are one material. All of it reads, or nothing is taken; at most fifty things are said of it.
 */
export function readStashCsv(text: string, unit: Unit, matched?: ColumnMatch): ReadStashCsv {
  const heading = checkHeading(text, matched)
  if (heading) return { ok: false, issues: [heading.issue], headings: heading.headings }
  const parsed = Papa.parse<Readonly<Record<string, string>>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header, index) => columnOf(header, matched) ?? `column ${index + 1}`,
    preview: mostCsvLines + 1,
  })
  if (parsed.data.length > mostCsvLines)
    return refuse([{ path: '', message: `Expected at most ${mostCsvLines} lines, found more.` }])
  const issues: Issue[] = parsed.errors
    .slice(0, mostIssues)
    .map(({ row, message }) => ({ path: `line ${(row ?? 0) + 2}`, message }))
  const entries = new Map<string, { readonly material: MaterialBody; readonly pieces: StashPieceBody[] }>()
  for (const [index, line] of parsed.data.entries()) {
    if (issues.length >= mostIssues) break
    issues.push(...takeLine(line, unit, entries).map(issue => under(`line ${index + 2}`, issue)))
  }
  return issues.length > 0 ? refuse(issues) : { ok: true, entries: [...entries.values()] }
}

const mostIssues = 50
const longestHeading = 2000

function refuse(issues: readonly Issue[]): ReadStashCsv {
  return { ok: false, issues: issues.slice(0, mostIssues) }
}

/** Our column under a heading: the matched one, where columns were matched; undefined where it is none of ours. */
function columnOf(heading: string, matched: ColumnMatch | undefined): StashColumn | undefined {
  const plain = heading.trim()
  if (matched) return Object.hasOwn(matched, plain) ? matched[plain] : undefined
  return stashColumns.find(column => column === plain)
}

const mostHeadings = 60

/** The first line by itself: before the rest is read, it is known to be a table of a stash. */
function checkHeading(
  text: string,
  matched: ColumnMatch | undefined,
): { readonly issue: Issue; readonly headings: readonly string[] } | undefined {
  const line = text.slice(0, longestHeading + 1).split(/\r?\n/, 1)[0] ?? ''
  const fields = Papa.parse<readonly string[]>(line).data[0]?.map(field => field.trim()) ?? []
  const columns = fields.map(field => columnOf(field, matched))
  const known = matched !== undefined || columns.every(column => column !== undefined)
  if (line.length <= longestHeading && known && columns.includes('name')) return undefined
  const found = fields.join(', ').slice(0, 200) || 'none'
  const message = `Expected columns among ${stashColumns.join(', ')}, name among them; found ${found}.`
  const headings = line.length <= longestHeading ? fields.filter(Boolean).slice(0, mostHeadings) : []
  return { issue: { path: 'line 1', message }, headings }
}

/** Adds what a line says to the entries; gives what is wrong with it. */
function takeLine(
  line: Readonly<Record<string, string>>,
  unit: Unit,
  entries: Map<string, { readonly material: MaterialBody; readonly pieces: StashPieceBody[] }>,
): readonly Issue[] {
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

function materialOf(line: Readonly<Record<string, string>>, unit: string): unknown {
  const { name, role, thickness, swatch, washed, weave, repeat, usableWidth, price, notion } = line
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
    source: pieceSource || 'remnant',
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
