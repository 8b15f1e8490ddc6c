import { DataTypes } from 'sequelize'
import type { RowModel } from '../models/models.js'
import { queryRemembered } from '../remembered-statement.js'
import type { Session } from '../session.js'
import type { PageRequest } from './page.js'

export type StoredRow = Readonly<Record<string, unknown>> & { readonly seq: string }

interface Statement {
  readonly name: string
  readonly text: string
}

interface Listing {
  readonly first: Statement
  readonly following: Statement
}

/** The statements behind the lists of one kind of row. */
export interface Listings {
  /** Its columns as the driver reads them. */
  readonly read: Listing
  /** Columns of JSON as the text that is stored. */
  readonly asJson: Listing
  /** Some by their ids, JSON as text. */
  readonly some: Statement
  readonly columns: readonly string[]
  readonly jsonColumns: ReadonlySet<string>
}

const known = new WeakMap<RowModel, Listings>()

/**
 * Lists are what a shelf asks for most, and the model's own finder spends three times as long on making up its query as
 * the database on answering it. So they are made up once a kind. Names come from the model, values are bound.
 */
export function listingsOf(model: RowModel, columns: readonly string[]): Listings {
  const made = known.get(model) ?? makeListings(model, columns)
  known.set(model, made)
  return made
}

/** One row more than the page has room for, so that it is known whether there is another page. */
export function queryPage(
  session: Session,
  { first, following }: Listing,
  workshop: string,
  { after, limit }: PageRequest,
): Promise<readonly StoredRow[]> {
  const { name, text } = after === undefined ? first : following
  const values = [workshop, limit + 1, ...(after === undefined ? [] : [after])]
  return queryRemembered<StoredRow>(session, name, text, values)
}

/** Those of the ids that are there, newest first. */
export function querySome(
  session: Session,
  { some: { name, text } }: Listings,
  workshop: string,
  ids: readonly string[],
): Promise<readonly StoredRow[]> {
  return queryRemembered<StoredRow>(session, name, text, [workshop, ids])
}

/** A row as JSON. A column of JSON that is no object is a bug of ours or a broken database, and thrown. */
export function writeRow({ columns, jsonColumns }: Listings, stored: StoredRow): string {
  const { id, version, updatedAt } = stored
  const own = columns.map(column => {
    const value = stored[column] ?? null
    return `"${column}":${jsonColumns.has(column) ? checkObject(column, value) : JSON.stringify(value)}`
  })
  const at = (updatedAt as Date).toISOString()
  return `{"id":${JSON.stringify(id)},"version":${JSON.stringify(version)},"updatedAt":"${at}",${own.join(',')}}`
}

function checkObject(column: string, text: unknown): string {
  if (typeof text === 'string' && /^\s*\{/.test(text)) return text
  throw new Error(`The column ${column} holds no object: ${String(text).slice(0, 40)}`)
}

function makeListings(model: RowModel, columns: readonly string[]): Listings {
  const attributes = model.getAttributes()
  const jsonColumns = new Set(columns.filter(name => attributes[name]?.type instanceof DataTypes.JSON))
  const nameOf = (name: string) => `"${attributes[name]?.field ?? name}"`
  const select = (cast: (name: string) => string) =>
    `SELECT ${['id', 'version', 'updatedAt', 'seq', ...columns]
      .map(name => `${nameOf(name)}${cast(name)} AS "${name}"`)
      .join(', ')} FROM "${model.tableName}" WHERE "workshop_id" = $1 AND "deleted_at" IS NULL`
  const listing = (kind: string, cast: (name: string) => string): Listing => {
    const page = (further: string) => `${select(cast)}${further} ORDER BY "seq" DESC LIMIT $2`
    return {
      first: { name: `${model.tableName}-${kind}`, text: page('') },
      following: { name: `${model.tableName}-${kind}-following`, text: page(' AND "seq" < $3') },
    }
  }
  const asText = (name: string) => (jsonColumns.has(name) ? '::text' : '')
  return {
    read: listing('read', () => ''),
    asJson: listing('json', asText),
    some: {
      name: `${model.tableName}-some`,
      text: `${select(asText)} AND "id" = ANY($2::uuid[]) ORDER BY "seq" DESC`,
    },
    columns,
    jsonColumns,
  }
}
