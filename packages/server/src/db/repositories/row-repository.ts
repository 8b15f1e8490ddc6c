import { Op, type WhereOptions } from 'sequelize'
import type { BodyOf, Columns, Page, RowOf } from '@snowdrift/core'
import type { z } from 'zod'
import type { RowModel } from '../models/models.js'
import type { Session } from '../session.js'
import { listingsOf, queryPage, querySome, writeRow } from './row-listings.js'
import { pageOf, type PageRequest } from './page.js'
import { missed, type BasedOn, type Written } from './written.js'

/** Rows of one kind. Every call names the workshop, and sees nothing outside it. */
export interface RowRepository<Row, Body> {
  readonly list: (workshop: string, page: PageRequest) => Promise<Page<Row>>
  /** The same page as JSON. What is stored as JSON goes out as it stands, and is neither read nor written again. */
  readonly listAsJson: (workshop: string, page: PageRequest) => Promise<string>
  /** Those of the ids that are there, as such a page, newest first. */
  readonly someAsJson: (workshop: string, ids: readonly string[]) => Promise<string>
  readonly find: (workshop: string, id: string) => Promise<Row | undefined>
  readonly create: (workshop: string, body: Body) => Promise<Row>
  /** Many at once, in their order. */
  readonly createAll: (workshop: string, bodies: readonly Body[]) => Promise<readonly Row[]>
  /** A write of what stands there already is none, and no conflict, whatever it was based on. */
  readonly update: (workshop: string, id: string, basedOn: BasedOn, body: Body) => Promise<Written<Row>>
  /** Takes a row off the lists; `restore` brings it back as it was. */
  readonly remove: (workshop: string, id: string, version: number) => Promise<Written<Row>>
  readonly restore: (workshop: string, id: string) => Promise<Row | undefined>
}

export interface RowSource<C extends Columns> {
  readonly model: RowModel
  readonly session: Session
  /** The columns of a row beside those that every row has. */
  readonly columns: C
  readonly schema: z.ZodType<RowOf<C>>
  readonly now: () => Date
  readonly newId: () => string
}

export function createRowRepository<C extends Columns>(
  source: RowSource<C>,
): RowRepository<RowOf<C>, BodyOf<C>> {
  type Row = RowOf<C>
  type Body = BodyOf<C>
  const { model, session, now, newId } = source
  const { transaction } = session
  const columns = Object.keys(source.columns)
  const listings = listingsOf(model, columns)
  const attributes = ['id', 'version', 'updatedAt', 'seq', ...columns]
  const read = (stored: unknown) => readRow(source, stored)

  async function findStored(workshop: string, where: object) {
    const found = await model.findOne({
      where: { workshopId: workshop, ...where },
      attributes,
      raw: true,
      transaction,
    })
    return found === null ? undefined : read(found)
  }

  async function write(
    workshop: string,
    id: string,
    version: number,
    values: object,
    said?: Body,
  ): Promise<Written<Row>> {
    const where = { workshopId: workshop, id, version, deletedAt: null } as WhereOptions
    const changed = { ...values, version: version + 1, updatedAt: now() }
    const [, rows] = await model.update(changed, { where, returning: true, transaction })
    const [row] = rows
    if (row) return { kind: 'written', row: read(row.get()) }
    return missed(await findStored(workshop, { id, deletedAt: null }), said)
  }

  async function insert(workshop: string, id: string, body: Body): Promise<Written<Row>> {
    const rows = [rowOf(workshop, id, body)]
    await model.bulkCreate(rows, { ignoreDuplicates: true, transaction })
    const stands = await findStored(workshop, { id, deletedAt: null })
    if (stands || (await model.count({ where: { id }, transaction })) > 0) return missed(stands, body)
    // The id is free, so something else of the row is taken: written again, the database says what.
    return { kind: 'written', row: read((await model.create(rows[0] as never, { transaction })).get()) }
  }

  function rowOf(workshopId: string, id: string, body: Body) {
    const at = now()
    return { ...body, id, workshopId, version: 1, createdAt: at, updatedAt: at }
  }

  return {
    list: async (workshop, page) =>
      pageOf(await queryPage(session, listings.read, workshop, page), page.limit, read),
    listAsJson: async (workshop, page) => {
      const rows = await queryPage(session, listings.asJson, workshop, page)
      const { items, next } = pageOf(rows, page.limit, stored => writeRow(listings, stored))
      return pageAsJson(items, next)
    },
    someAsJson: async (workshop, ids) => {
      const rows = await querySome(session, listings, workshop, ids)
      return pageAsJson(
        rows.map(stored => writeRow(listings, stored)),
        null,
      )
    },
    find: (workshop, id) => findStored(workshop, { id, deletedAt: null }),
    create: async (workshop, body) =>
      read((await model.create(rowOf(workshop, newId(), body) as never, { transaction })).get()),
    createAll: async (workshop, bodies) => {
      const rows = bodies.map(body => rowOf(workshop, newId(), body))
      return (await model.bulkCreate(rows as never, { returning: true, transaction })).map(row =>
        read(row.get()),
      )
    },
    update: (workshop, id, basedOn, body) =>
      basedOn === 'new' ? insert(workshop, id, body) : write(workshop, id, basedOn, body, body),
    remove: (workshop, id, version) => write(workshop, id, version, { deletedAt: now() }),
    restore: async (workshop, id) => {
      const where = { workshopId: workshop, id, deletedAt: { [Op.ne]: null } } as WhereOptions
      const [, rows] = await model.update({ deletedAt: null }, { where, returning: true, transaction })
      return rows[0] ? read(rows[0].get()) : findStored(workshop, { id, deletedAt: null })
    },
  }
}

function pageAsJson(items: readonly string[], next: string | null): string {
  return `{"items":[${items.join(',')}],"next":${JSON.stringify(next)}}`
}

/** A row as it goes out. One that does not parse is a bug of ours or a broken database, and thrown. */
export function readRow<C extends Columns>(
  { schema, columns }: Pick<RowSource<C>, 'schema' | 'columns'>,
  stored: unknown,
): RowOf<C> {
  const { id, version, updatedAt, ...rest } = stored as Readonly<Record<string, unknown>>
  const own = Object.fromEntries(Object.keys(columns).map(column => [column, rest[column] ?? null]))
  return schema.parse({ id, version, updatedAt: (updatedAt as Date).toISOString(), ...own })
}
