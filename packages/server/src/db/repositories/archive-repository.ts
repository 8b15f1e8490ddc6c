import {
  archiveKinds,
  coverColumns,
  cuttingColumns,
  makeColumns,
  makingColumns,
  markColumns,
  materialColumns,
  ruleColumns,
  stashPieceColumns,
  thingColumns,
  type ArchiveKind,
  type Columns,
  type StashEventRow,
} from '@snowdrift/core'
import { literal, Op, type WhereOptions } from 'sequelize'
import type { Models, RowModel } from '../models/models.js'
import type { Session } from '../session.js'
import { pageOf, type PageRequest } from './page.js'
import type { RepositoryTools } from './tools.js'

/** What a row says, by its columns, under its id. */
export interface ArchiveRow {
  readonly id: string
  readonly values: Readonly<Record<string, unknown>>
}

/** What stands under an id: a row of this workshop, one that was deleted here, or one of another workshop. */
export type Standing =
  | { readonly kind: 'here'; readonly id: string; readonly values: ArchiveRow['values'] }
  | { readonly kind: 'gone' }
  | { readonly kind: 'foreign' }

/** Rows of every kind as archives hold them: as they were typed, with their ids, and nothing of this server’s own. */
export interface ArchiveRepository {
  /** How many rows of any kind there are. */
  readonly count: (workshop: string) => Promise<number>
  /** The oldest first. */
  readonly list: (
    kind: ArchiveKind,
    workshop: string,
    page: PageRequest,
  ) => Promise<{ readonly items: readonly ArchiveRow[]; readonly next: string | null }>
  readonly standings: (
    kind: ArchiveKind,
    workshop: string,
    ids: readonly string[],
  ) => Promise<ReadonlyMap<string, Standing>>
  readonly insert: (kind: ArchiveKind, workshop: string, rows: readonly ArchiveRow[]) => Promise<void>
  /** Writes over rows of this workshop; one that was deleted is there again. */
  readonly overwrite: (kind: ArchiveKind, workshop: string, row: ArchiveRow) => Promise<void>
  /** A material’s history, the oldest first. */
  readonly history: (workshop: string, materialId: string) => Promise<readonly StashEventRow[]>
  readonly addHistory: (
    workshop: string,
    materialId: string,
    events: readonly StashEventRow[],
  ) => Promise<void>
}

export function createArchiveRepository(
  { models, transaction }: Session,
  { now }: RepositoryTools,
): ArchiveRepository {
  return {
    count: async workshopId => {
      let rows = 0
      for (const kind of archiveKinds)
        rows += await modelOf(models, kind).count({
          where: { workshopId, deletedAt: null } as WhereOptions,
          transaction,
        })
      return rows
    },
    list: async (kind, workshopId, { after, limit }) => {
      const further = after === undefined ? {} : { seq: { [Op.gt]: after } }
      const rows = await modelOf(models, kind).findAll({
        where: { workshopId, deletedAt: null, ...further } as WhereOptions,
        order: [['seq', 'ASC']],
        limit: limit + 1,
        attributes: ['id', 'seq', ...columnsOf[kind]],
        raw: true,
        transaction,
      })
      return pageOf(rows as unknown as (Stored & { readonly seq: string })[], limit, row => ({
        id: row.id,
        values: valuesOf(kind, row),
      }))
    },
    standings: async (kind, workshop, ids) => {
      if (ids.length === 0) return new Map()
      const rows = await modelOf(models, kind).findAll({
        where: { id: ids } as WhereOptions,
        attributes: ['id', 'workshopId', 'deletedAt', ...columnsOf[kind]],
        raw: true,
        transaction,
      })
      return new Map((rows as unknown as Stored[]).map(row => [row.id, standingOf(kind, workshop, row)]))
    },
    insert: async (kind, workshopId, rows) => {
      const at = now()
      const ours = { workshopId, version: 1, createdAt: at, updatedAt: at }
      const stored = rows.map(({ id, values }) => ({ ...values, ...ours, id }))
      await modelOf(models, kind).bulkCreate(stored, { transaction })
    },
    overwrite: async (kind, workshopId, { id, values }) => {
      await modelOf(models, kind).update(
        { ...values, version: literal('version + 1'), updatedAt: now(), deletedAt: null },
        { where: { workshopId, id } as WhereOptions, transaction },
      )
    },
    history: async (workshopId, materialId) => {
      const rows = await models.StashEvent.findAll({
        where: { workshopId, materialId },
        order: [['id', 'ASC']],
        raw: true,
        transaction,
      })
      return (rows as unknown as { at: Date; what: StashEventRow['what']; detail: string }[]).map(
        ({ at, what, detail }) => ({ at: at.toISOString(), what, detail }),
      )
    },
    addHistory: async (workshopId, materialId, events) => {
      await models.StashEvent.bulkCreate(
        events.map(({ at, what, detail }) => ({ workshopId, materialId, at: new Date(at), what, detail })),
        { transaction },
      )
    },
  }
}

type Stored = Readonly<Record<string, unknown>> & {
  readonly id: string
  readonly workshopId: string
  readonly deletedAt: Date | null
}

const columnsOf: Readonly<Record<ArchiveKind, readonly string[]>> = {
  things: Object.keys(thingColumns),
  materials: typedKeys(materialColumns),
  covers: Object.keys(coverColumns),
  pieces: Object.keys(stashPieceColumns),
  cuttings: Object.keys(cuttingColumns),
  rules: Object.keys(ruleColumns),
  makings: Object.keys(makingColumns),
  marks: Object.keys(markColumns),
  makes: Object.keys(makeColumns),
}

function typedKeys(columns: Columns): readonly string[] {
  return Object.keys(columns).filter(name => 'typed' in (columns[name] ?? {}))
}

function modelOf(models: Models, kind: ArchiveKind): RowModel {
  const byKind = {
    things: models.Thing,
    materials: models.Material,
    covers: models.Cover,
    pieces: models.StashPiece,
    cuttings: models.Cutting,
    rules: models.Rule,
    makings: models.Making,
    marks: models.ShelfMark,
    makes: models.Make,
  }
  return byKind[kind]
}

function valuesOf(kind: ArchiveKind, row: Readonly<Record<string, unknown>>): ArchiveRow['values'] {
  return Object.fromEntries(columnsOf[kind].map(column => [column, row[column] ?? null]))
}

function standingOf(kind: ArchiveKind, workshop: string, row: Stored): Standing {
  if (row.workshopId !== workshop) return { kind: 'foreign' }
  if (row.deletedAt !== null) return { kind: 'gone' }
  return { kind: 'here', id: row.id, values: valuesOf(kind, row) }
}
