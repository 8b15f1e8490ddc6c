import { z } from 'zod'
import type { Issue } from '../file/issue.js'
import { units, type Unit } from '../length/unit.js'
import { check, type ReadResult } from '../file/check.js'
import { onceFor } from './once-for.js'

/** How the database keeps a column. */
export type ColumnKind = 'text' | 'json' | 'uuid' | 'count'

/** One column of a kind of row: how it is kept, and what a row may hold there. */
export interface Column<Value = unknown> {
  readonly kept: ColumnKind
  readonly stored: z.ZodType<Value>
}

/** A column that the maker writes: what the browser may send for it, bare lengths in the unit of its row. */
export interface TypedColumn<Value = unknown> extends Column<Value> {
  readonly typed: (unit: Unit) => z.ZodType<Value>
}

/** All columns of a kind of row, but those that every row has. */
export type Columns = Readonly<Record<string, Column>>

export type ValuesOf<C extends Columns> = {
  readonly [Key in keyof C]: C[Key] extends Column<infer Value> ? Value : never
}

/** What of a row the maker writes. */
export type BodyOf<C extends Columns> = {
  readonly [Key in keyof C as C[Key] extends TypedColumn ? Key : never]: C[Key] extends Column<infer Value>
    ? Value
    : never
}

const everyRow = {
  id: z.uuid(),
  version: z.int().min(1),
  updatedAt: z.iso.datetime(),
}

export type RowOf<C extends Columns> = ValuesOf<C> & {
  readonly id: string
  readonly version: number
  readonly updatedAt: string
}

/** A column that only the server writes. */
export function ourColumn<Value>(kept: ColumnKind, stored: z.ZodType<Value>): Column<Value> {
  return { kept, stored }
}

/** A column that the maker writes; taken as it is stored unless `typed` says otherwise. */
export function typedColumn<Value>(
  kept: ColumnKind,
  stored: z.ZodType<Value>,
  typed: (unit: Unit) => z.ZodType<Value> = () => stored,
): TypedColumn<Value> {
  return { kept, stored, typed }
}

/** The schema of a row as it goes out. */
export function rowSchema<C extends Columns>(columns: C): z.ZodType<RowOf<C>> {
  // zod does not follow the types through a record of schemas: `RowOf` says what comes of it.
  return z.strictObject({ ...everyRow, ...storedShape(columns) }) as unknown as z.ZodType<RowOf<C>>
}

/** What rows hold in these columns. */
export function storedShape(columns: Columns): Record<string, z.ZodType> {
  return Object.fromEntries(Object.entries(columns).map(([key, { stored }]) => [key, stored]))
}

/** Reads what the browser sends for these columns; `unitOf` says what its bare lengths are in. */
export function bodyReader<C extends Columns>(
  columns: C,
  unitOf: (input: unknown) => ReadResult<Unit>,
): (input: unknown) => ReadResult<BodyOf<C>> {
  const readIn = bodyReaderIn(columns)
  return input => {
    const unit = unitOf(input)
    return unit.ok ? readIn(unit.value)(input) : unit
  }
}

/** The same, for rows whose unit stands elsewhere. */
export function bodyReaderIn<C extends Columns>(
  columns: C,
): (unit: Unit) => (input: unknown) => ReadResult<BodyOf<C>> {
  const schema = onceFor((unit: Unit) => {
    const shape = Object.entries(columns).flatMap(([key, column]) =>
      isTyped(column) ? [[key, column.typed(unit)] as const] : [],
    )
    return z.strictObject(Object.fromEntries(shape)) as unknown as z.ZodType<BodyOf<C>>
  })
  return unit => input => check(schema(unit), input)
}

/** Of a row that says its unit itself. */
export function ownUnit(input: unknown): ReadResult<Unit> {
  const read = check(z.looseObject({ unit: z.enum(units) }), input)
  return read.ok ? { ok: true, value: read.value.unit } : read
}

/** Of a row that has no lengths in these columns, or says for each what it is in. */
export function anyUnit(): ReadResult<Unit> {
  return { ok: true, value: 'in' }
}

/** What of a row the maker writes. */
export function bodyOf<C extends Columns>(columns: C, row: ValuesOf<C>): BodyOf<C> {
  const typed = Object.entries(columns).flatMap(([key, column]) =>
    isTyped(column) ? [[key, row[key]] as const] : [],
  )
  return Object.fromEntries(typed) as BodyOf<C>
}

function isTyped(column: Column): column is TypedColumn {
  return 'typed' in column
}

/** Issues found within a value, as they are said of the body that it stands in. */
export function issuesAt(context: z.RefinementCtx, issues: readonly Issue[]): void {
  for (const { path, message } of issues)
    context.addIssue({ code: 'custom', message, path: path ? [path] : [] })
}
