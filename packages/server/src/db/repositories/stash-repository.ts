import {
  stashEventRow,
  stashPieceRow,
  type StashEventKind,
  type StashEventRow,
  type StashPieceBody,
  type StashPieceRow,
} from '@snowdrift/core'
import { Op, type Transaction, type WhereOptions } from 'sequelize'
import type { Database } from '../connect.js'
import type { RepositoryTools } from './tools.js'
import type { Written } from './row-repository.js'

export interface ChosenPiece {
  readonly id: string
  readonly version: number
}

export interface CutPiece extends ChosenPiece {
  readonly leftOvers: readonly Pick<StashPieceBody, 'width' | 'length'>[]
}

/** All pieces that a take asked for, as they stand now; or the first that stands otherwise than it was chosen. */
export type Taken =
  | { readonly kind: 'taken'; readonly pieces: readonly StashPieceRow[] }
  | { readonly kind: 'stale'; readonly current: StashPieceRow }
  | { readonly kind: 'missing' }

/** The pieces of the stash. Each call names the workshop; each change is one transaction and leaves a line of history. */
export interface StashRepository {
  /** All that is not cut, of one material or of all. */
  readonly list: (workshop: string, materialId?: string) => Promise<readonly StashPieceRow[]>
  /** Undefined where there is no such material. */
  readonly add: (
    workshop: string,
    materialId: string,
    body: StashPieceBody,
  ) => Promise<StashPieceRow | undefined>
  readonly change: (
    workshop: string,
    chosen: ChosenPiece,
    body: StashPieceBody,
  ) => Promise<Written<StashPieceRow>>
  readonly remove: (workshop: string, chosen: ChosenPiece) => Promise<Written<StashPieceRow>>
  /** Keeps free pieces for a cover: all or none. */
  readonly reserve: (workshop: string, coverId: string, pieces: readonly ChosenPiece[]) => Promise<Taken>
  readonly release: (workshop: string, coverId: string, pieces: readonly ChosenPiece[]) => Promise<Taken>
  /** Cuts pieces that are free or kept for this cover, and puts what is left back: all or none. */
  readonly cut: (workshop: string, coverId: string, pieces: readonly CutPiece[]) => Promise<Taken>
  /** The newest first, two hundred at most. */
  readonly history: (workshop: string, materialId: string) => Promise<readonly StashEventRow[]>
  readonly note: (workshop: string, materialId: string, what: StashEventKind, detail: string) => Promise<void>
}

export function createStashRepository(
  { models, sequelize }: Database,
  { now, newId }: RepositoryTools,
): StashRepository {
  const { StashPiece, StashEvent, Material } = models

  const note = async (
    workshopId: string,
    materialId: string,
    what: StashEventKind,
    detail: string,
    transaction?: Transaction,
  ) => {
    await StashEvent.create(
      { workshopId, materialId, at: now(), what, detail },
      { transaction: transaction ?? null },
    )
  }

  const create = async (
    workshopId: string,
    materialId: string,
    body: StashPieceBody,
    transaction: Transaction,
  ) => {
    const at = now()
    const row = { ...body, id: newId(), workshopId, materialId, version: 1, state: 'free', coverId: null }
    return readRow((await StashPiece.create({ ...row, createdAt: at, updatedAt: at }, { transaction })).get())
  }

  /** Looks a piece up and holds it until the transaction ends, so that no other change comes between. */
  const hold = async (workshopId: string, id: string, transaction: Transaction) => {
    const where = { workshopId, id, deletedAt: null } as WhereOptions
    const found = await StashPiece.findOne({ where, transaction, lock: transaction.LOCK.UPDATE })
    return found ? readRow(found.get()) : undefined
  }

  const write = async (
    workshopId: string,
    piece: StashPieceRow,
    changes: object,
    transaction: Transaction,
  ) => {
    const values = { ...changes, version: piece.version + 1, updatedAt: now() }
    const [, rows] = await StashPiece.update(values, {
      where: { workshopId, id: piece.id } as WhereOptions,
      returning: true,
      transaction,
    })
    return readRow(rows[0]?.get())
  }

  const changeOne = (
    workshopId: string,
    { id, version }: ChosenPiece,
    make: (piece: StashPieceRow, transaction: Transaction) => Promise<StashPieceRow>,
  ): Promise<Written<StashPieceRow>> =>
    sequelize.transaction(async transaction => {
      const piece = await hold(workshopId, id, transaction)
      if (!piece) return { kind: 'missing' }
      if (piece.version !== version || piece.state === 'cut') return { kind: 'stale', current: piece }
      return { kind: 'written', row: await make(piece, transaction) }
    })

  /** In the order of ids, so that two takes of the same pieces wait for each other instead of locking each other out. */
  const takeAll = async <Chosen extends ChosenPiece>(
    workshopId: string,
    chosen: readonly Chosen[],
    mayTake: (piece: StashPieceRow) => boolean,
    make: (piece: StashPieceRow, chosen: Chosen, transaction: Transaction) => Promise<StashPieceRow>,
  ): Promise<Taken> =>
    sequelize.transaction(async transaction => {
      const held: (readonly [StashPieceRow, Chosen])[] = []
      for (const one of chosen.toSorted((a, b) => a.id.localeCompare(b.id))) {
        const piece = await hold(workshopId, one.id, transaction)
        if (!piece) return { kind: 'missing' }
        if (piece.version !== one.version || !mayTake(piece)) return { kind: 'stale', current: piece }
        held.push([piece, one])
      }
      const pieces: StashPieceRow[] = []
      for (const [piece, one] of held) pieces.push(await make(piece, one, transaction))
      return { kind: 'taken', pieces }
    })

  return {
    list: async (workshopId, materialId) => {
      const where = {
        workshopId,
        deletedAt: null,
        state: { [Op.ne]: 'cut' },
        ...(materialId !== undefined && { materialId }),
      } as WhereOptions
      return (await StashPiece.findAll({ where, order: [['seq', 'ASC']], limit: 2000, raw: true })).map(
        readRow,
      )
    },
    add: (workshopId, materialId, body) =>
      sequelize.transaction(async transaction => {
        const where = { workshopId, id: materialId, deletedAt: null } as WhereOptions
        if ((await Material.count({ where, transaction })) === 0) return undefined
        const row = await create(workshopId, materialId, body, transaction)
        await note(workshopId, materialId, 'piece-added', sayPiece(row), transaction)
        return row
      }),
    change: (workshop, chosen, body) =>
      changeOne(workshop, chosen, async (piece, transaction) => {
        const row = await write(workshop, piece, { ...body }, transaction)
        await note(
          workshop,
          piece.materialId,
          'piece-changed',
          `${sayPiece(piece)} → ${sayPiece(row)}`,
          transaction,
        )
        return row
      }),
    remove: (workshop, chosen) =>
      changeOne(workshop, chosen, async (piece, transaction) => {
        const row = await write(workshop, piece, { deletedAt: now() }, transaction)
        await note(workshop, piece.materialId, 'piece-gone', sayPiece(piece), transaction)
        return row
      }),
    reserve: (workshop, coverId, chosen) =>
      takeAll(
        workshop,
        chosen,
        ({ state }) => state === 'free',
        async (piece, _chosen, transaction) => {
          await note(workshop, piece.materialId, 'reserved', sayPiece(piece), transaction)
          return write(workshop, piece, { state: 'reserved', coverId }, transaction)
        },
      ),
    release: (workshop, coverId, chosen) =>
      takeAll(
        workshop,
        chosen,
        piece => piece.state === 'reserved' && piece.coverId === coverId,
        async (piece, _chosen, transaction) => {
          await note(workshop, piece.materialId, 'released', sayPiece(piece), transaction)
          return write(workshop, piece, { state: 'free', coverId: null }, transaction)
        },
      ),
    cut: (workshop, coverId, chosen) =>
      takeAll(
        workshop,
        chosen,
        piece => piece.state === 'free' || (piece.state === 'reserved' && piece.coverId === coverId),
        async (piece, { leftOvers }, transaction) => {
          const { materialId } = piece
          await note(workshop, materialId, 'cut', sayPiece(piece), transaction)
          for (const { width, length } of leftOvers) {
            const body = { source: 'left-over', width, length, count: 1, note: '' } as const
            const back = await create(workshop, materialId, body, transaction)
            await note(workshop, materialId, 'left-over', sayPiece(back), transaction)
          }
          return write(workshop, piece, { state: 'cut', coverId }, transaction)
        },
      ),
    history: async (workshopId, materialId) => {
      const rows = await StashEvent.findAll({
        where: { workshopId, materialId },
        order: [['id', 'DESC']],
        limit: 200,
        raw: true,
      })
      return rows.map(row => {
        const { at, what, detail } = row as unknown as { at: Date; what: string; detail: string }
        return stashEventRow.parse({ at: at.toISOString(), what, detail })
      })
    },
    note,
  }
}

function sayPiece({ source, width, length, count }: StashPieceBody): string {
  const sides = [width, length].filter(side => side !== null).map(String)
  return [source, sides.join(' × '), count > 1 ? `(${count})` : ''].filter(Boolean).join(' ')
}

function readRow(stored: unknown): StashPieceRow {
  const { id, version, updatedAt, materialId, source, width, length, count, note, state, coverId } =
    stored as Record<string, unknown>
  const at = (updatedAt as Date).toISOString()
  return stashPieceRow.parse({
    id,
    version,
    updatedAt: at,
    materialId,
    source,
    width,
    length,
    count,
    note,
    state,
    coverId: coverId ?? null,
  })
}
