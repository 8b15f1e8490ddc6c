import type { ColumnMatch, Issue, Table } from '@snowdrift/core'
import Papa from 'papaparse'

/** One line of a table: what stands under each of our columns, as text. */
export type Line<Column extends string> = Readonly<Partial<Record<Column, string>>>

/** What is wrong with a table, said for whoever wrote it. */
export interface Refused {
  readonly ok: false
  readonly issues: readonly Issue[]
  /** How the columns are headed, where they are not ours. */
  readonly headings?: readonly string[]
}

export const mostCsvLines = 2000
const mostIssues = 50
const longestHeading = 2000
const mostHeadings = 60

/**
 * Reads a table, or one whose columns are matched to ours, line by line: `take` says what is wrong with each. All of it
 * reads, or nothing is taken; at most fifty things are said of it.
 */
export function readTable<Column extends string>(
  text: string,
  table: Table<Column>,
  matched: ColumnMatch<Column> | undefined,
  take: (line: Line<Column>) => readonly Issue[],
): Refused | { readonly ok: true } {
  const heading = checkHeading(text, table, matched)
  if (heading) return { ok: false, issues: [heading.issue], headings: heading.headings }
  const parsed = Papa.parse<Line<Column>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header, index) => columnOf(header, table, matched) ?? `column ${index + 1}`,
    preview: mostCsvLines + 1,
  })
  if (parsed.data.length > mostCsvLines)
    return {
      ok: false,
      issues: [{ path: '', message: `Expected at most ${mostCsvLines} lines, found more.` }],
    }
  const issues: Issue[] = parsed.errors
    .slice(0, mostIssues)
    .map(({ row, message }) => ({ path: `line ${(row ?? 0) + 2}`, message }))
  for (const [index, line] of parsed.data.entries()) {
    if (issues.length >= mostIssues) break
    issues.push(...take(line).map(issue => under(`line ${index + 2}`, issue)))
  }
  return issues.length > 0 ? { ok: false, issues: issues.slice(0, mostIssues) } : { ok: true }
}

/** Writes lines under all columns of a table. */
export function writeTable<Column extends string>(
  { columns }: Table<Column>,
  lines: readonly Readonly<Partial<Record<Column, unknown>>>[],
): string {
  return Papa.unparse({
    fields: [...columns],
    data: lines.map(line => columns.map(column => guard(line[column] ?? ''))),
  })
}

/** What a spreadsheet would take for a formula is written as text. */
function guard(value: unknown): unknown {
  return typeof value === 'string' && /^[=+\-@\t\r]/.test(value) ? `'${value}` : value
}

/** Text as it was before it was guarded. */
export function unguard(text: string | undefined): string | undefined {
  return text?.replace(/^'(?=[=+\-@])/, '')
}

/** Our column under a heading: the matched one, where columns were matched; undefined where it is none of ours. */
function columnOf<Column extends string>(
  heading: string,
  { columns }: Table<Column>,
  matched: ColumnMatch<Column> | undefined,
): Column | undefined {
  const plain = heading.trim()
  if (matched) return Object.hasOwn(matched, plain) ? matched[plain] : undefined
  return columns.find(column => column === plain)
}

/** The first line by itself: before the rest is read, it is known to be such a table. */
function checkHeading<Column extends string>(
  text: string,
  table: Table<Column>,
  matched: ColumnMatch<Column> | undefined,
): { readonly issue: Issue; readonly headings: readonly string[] } | undefined {
  const line = text.slice(0, longestHeading + 1).split(/\r?\n/, 1)[0] ?? ''
  const fields = Papa.parse<readonly string[]>(line).data[0]?.map(field => field.trim()) ?? []
  const columns = fields.map(field => columnOf(field, table, matched))
  const known = matched !== undefined || columns.every(column => column !== undefined)
  const hasNeeded = table.needed.every(column => columns.includes(column))
  if (line.length <= longestHeading && known && hasNeeded) return undefined
  const found = fields.join(', ').slice(0, 200) || 'none'
  const message = `Expected columns among ${table.columns.join(', ')}, ${table.needed.join(' and ')} among them; found ${found}.`
  const headings = line.length <= longestHeading ? fields.filter(Boolean).slice(0, mostHeadings) : []
  return { issue: { path: 'line 1', message }, headings }
}

function under(path: string, issue: Issue): Issue {
  return { path, message: `In ${path}, ${issue.path}: ${issue.message}` }
}
