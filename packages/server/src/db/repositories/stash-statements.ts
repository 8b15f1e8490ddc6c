import {
  stashPieceColumns,
  stashPieceRow,
  type StashEventKind,
  type StashPieceBody,
  type StashPieceRow,
} from '@snowdrift/core'
import { literal, type WhereOptions } from 'sequelize'
import type { Session } from '../session.js'
import { readRow } from './row-repository.js'
import type { RepositoryTools } from './tools.js'

/** What the statements over the stash need: where they run, what time it is, and names for new rows. */
export interface StashTools extends RepositoryTools {
  readonly session: Session
}

export interface NewPieces {
  readonly materialId: string
  readonly pieces: readonly StashPieceBody[]
}

export interface StashEvent {
  readonly materialId: string
  readonly what: StashEventKind
  readonly detail: string
}

/** Looks pieces up and holds them until the transaction ends; in the order of their ids, so that no two wait for each other. */
export async function holdPieces(
  { session: { models, transaction } }: StashTools,
  workshopId: string,
  chosen: object,
): Promise<readonly StashPieceRow[]> {
  const rows = await models.StashPiece.findAll({
    where: { ...chosen, workshopId, deletedAt: null } as WhereOptions,
    order: [['id', 'ASC']],
    transaction,
    lock: true,
    raw: true,
  })
  return rows.map(readPiece)
}

export async function insertPieces(
  { session: { models, transaction }, now, newId }: StashTools,
  workshopId: string,
  added: readonly NewPieces[],
): Promise<readonly StashPieceRow[]> {
  const at = now()
  const stored = { workshopId, version: 1, state: 'free', coverId: null, createdAt: at, updatedAt: at }
  const rows = added.flatMap(({ materialId, pieces }) =>
    pieces.map(piece => ({ ...piece, ...stored, id: newId(), materialId })),
  )
  const made = await models.StashPiece.bulkCreate(rows, { returning: true, transaction })
  return made.map(row => readPiece(row.get()))
}

/** The same change of every piece, in one statement. The pieces are held by this transaction. */
export async function changePieces(
  { session: { models, transaction }, now }: StashTools,
  workshopId: string,
  pieces: readonly StashPieceRow[],
  changes: object,
): Promise<readonly StashPieceRow[]> {
  if (pieces.length === 0) return []
  const [, rows] = await models.StashPiece.update(
    { ...changes, version: literal('version + 1'), updatedAt: now() },
    {
      where: { workshopId, id: pieces.map(({ id }) => id) } as WhereOptions,
      returning: true,
      transaction,
    },
  )
  return rows.map(row => readPiece(row.get()))
}

export async function noteEvents(
  { session: { models, transaction }, now }: StashTools,
  workshopId: string,
  events: readonly StashEvent[],
): Promise<void> {
  const at = now()
  await models.StashEvent.bulkCreate(
    events.map(event => ({ ...event, workshopId, at })),
    { transaction },
  )
}

/** A line of history for each piece. */
export function eventsOf(pieces: readonly StashPieceRow[], what: StashEventKind): readonly StashEvent[] {
  return pieces.map(piece => ({ materialId: piece.materialId, what, detail: sayPiece(piece) }))
}

export function sayPiece({ source, width, length, count }: StashPieceBody): string {
  const sides = [width, length].filter(side => side !== null).map(String)
  return [source, sides.join(' × '), count > 1 ? `(${count})` : ''].filter(Boolean).join(' ')
}

export function readPiece(stored: unknown): StashPieceRow {
  return readRow({ columns: stashPieceColumns, schema: stashPieceRow }, stored)
}
