import { Op, QueryTypes, type Sequelize, type WhereOptions } from 'sequelize'
import type { Page } from '@snowdrift/core'
import type { z } from 'zod'
import type { RowModel } from '../models/models.js'

/** The outcome of a write that was based on a version. */
export type Written<Row> =
  | { readonly kind: 'written'; readonly row: Row }
  | { readonly kind: 'stale'; readonly current: Row }
  | { readonly kind: 'missing' }

export interface PageRequest {
  /** The cursor that the page before gave; none for the first. */
  readonly after?: string
  readonly limit: number
}

/** Rows of one kind. Every call names the workshop, and sees nothing outside it. */
export interface RowRepository<Row, Body> {
  readonly list: (workshop: string, page: PageRequest) => Promise<Page<Row>>
  readonly find: (workshop: string, id: string) => Promise<Row | undefined>
  readonly create: (workshop: string, body: Body) => Promise<Row>
  readonly update: (workshop: string, id: string, version: number, body: Body) => Promise<Written<Row>>
  /** Takes a row off the lists; `restore` brings it back as it was. */
  readonly remove: (workshop: string, id: string, version: number) => Promise<Written<Row>>
  readonly restore: (workshop: string, id: string) => Promise<Row | undefined>
}

export interface RowSource<Row> {
  readonly model: RowModel
  readonly sequelize: Sequelize
  /** The columns of a row beside those that every row has. */
  readonly columns: readonly string[]
  readonly schema: z.ZodType<Row>
  readonly now: () => Date
  readonly newId: () => string
}

export function createRowRepository<Row extends { readonly version: number }, Body extends object>(
  source: RowSource<Row>,
): RowRepository<Row, Body> {
  const { model, sequelize, now, newId } = source
  const listing = listingOf(source)
  const attributes = ['id', 'version', 'updatedAt', 'seq', ...source.columns]
  const read = (stored: unknown) => readRow(source, stored as Record<string, unknown>)

  async function findStored(workshop: string, where: object) {
    const found = await model.findOne({ where: { workshopId: workshop, ...where }, attributes, raw: true })
    return found === null ? undefined : read(found)
  }

  async function write(workshop: string, id: string, version: number, values: object): Promise<Written<Row>> {
    const where = { workshopId: workshop, id, version, deletedAt: null } as WhereOptions
    const changed = { ...values, version: version + 1, updatedAt: now() }
    const [, rows] = await model.update(changed, { where, returning: true })
    const [row] = rows
    if (row) return { kind: 'written', row: read(row.get()) }
    const current = await findStored(workshop, { id, deletedAt: null })
    return current ? { kind: 'stale', current } : { kind: 'missing' }
  }

  return {
    list: async (workshop, { after, limit }) => {
      const bind = [workshop, limit + 1, ...(after === undefined ? [] : [after])]
      const statement = after === undefined ? listing.first : listing.following
      const rows = await sequelize.query<StoredRow>(statement, { bind, type: QueryTypes.SELECT, raw: true })
      const items = rows.slice(0, limit)
      const last = items.at(-1)
      return { items: items.map(read), next: rows.length > limit && last ? last.seq : null }
    },
    find: (workshop, id) => findStored(workshop, { id, deletedAt: null }),
    create: async (workshop, body) => {
      const at = now()
      const row = { ...body, id: newId(), workshopId: workshop, version: 1, createdAt: at, updatedAt: at }
      return read((await model.create(row as never)).get())
    },
    update: (workshop, id, version, body) => write(workshop, id, version, body),
    remove: (workshop, id, version) => write(workshop, id, version, { deletedAt: now() }),
    restore: async (workshop, id) => {
      const where = { workshopId: workshop, id, deletedAt: { [Op.ne]: null } } as WhereOptions
      const [, rows] = await model.update({ deletedAt: null }, { where, returning: true })
      return rows[0] ? read(rows[0].get()) : findStored(workshop, { id, deletedAt: null })
    },
  }
}

type StoredRow = Readonly<Record<string, unknown>> & { readonly seq: string }

/**
 * The statements behind a list: lists are what a shelf asks for most, and the model's own finder spends three times
 * as long on making up its query as the database on answering it. Names come from the model, values are bound.
 */
function listingOf({ model, columns }: Pick<RowSource<unknown>, 'model' | 'columns'>) {
  const names = ['id', 'version', 'updatedAt', 'seq', ...columns]
    .map(name => `"${model.getAttributes()[name]?.field ?? name}" AS "${name}"`)
    .join(', ')
  const page = (further: string) =>
    `SELECT ${names} FROM "${model.tableName}" WHERE "workshop_id" = $1 AND "deleted_at" IS NULL${further}
     ORDER BY "seq" DESC LIMIT $2`
  return { first: page(''), following: page(' AND "seq" < $3') }
}

/** A row as it goes out. One that does not parse is a bug of ours or a broken database, and thrown. */
function readRow<Row>({ schema, columns }: RowSource<Row>, stored: Record<string, unknown>): Row {
  const own = Object.fromEntries(columns.map(column => [column, stored[column] ?? null]))
  const { id, version, updatedAt } = stored
  return schema.parse({ id, version, updatedAt: (updatedAt as Date).toISOString(), ...own })
}
