import {
  stashEventRow,
  type Page,
  type StashEventRow,
  type StashPieceBody,
  type StashPieceRow,
  type TypedLength,
} from '@snowdrift/core'
import { Op, type WhereOptions } from 'sequelize'
import type { Session } from '../session.js'
import { pageOf, type PageRequest } from './page.js'
import { missed, type Written } from './written.js'
import {
  changePieces,
  eventsOf,
  holdPieces,
  insertPieces,
  noteEvents,
  readPiece,
  sayPiece,
  type NewPieces,
  type StashEvent,
  type StashTools,
} from './stash-statements.js'
import {
  cutPieces,
  releaseAllOf,
  releasePieces,
  reservePieces,
  type ChosenPiece,
  type CutPiece,
  type Taken,
} from './take-pieces.js'
import type { RepositoryTools } from './tools.js'

/** The pieces of the stash. Each call names the workshop; each change is one transaction and leaves a line of history. */
export interface StashRepository {
  /** What is not cut, the oldest first. */
  readonly list: (workshop: string, page: PageRequest) => Promise<Page<StashPieceRow>>
  readonly find: (workshop: string, id: string) => Promise<StashPieceRow | undefined>
  /** Undefined where there is no such material. */
  readonly add: (
    workshop: string,
    materialId: string,
    body: StashPieceBody,
  ) => Promise<StashPieceRow | undefined>
  /** Pieces of materials that were made just now, many at once. */
  readonly addAll: (workshop: string, added: readonly NewPieces[]) => Promise<void>
  readonly change: (
    workshop: string,
    chosen: ChosenPiece,
    body: StashPieceBody,
  ) => Promise<Written<StashPieceRow>>
  readonly remove: (workshop: string, chosen: ChosenPiece) => Promise<Written<StashPieceRow>>
  /** Brings back a piece that was taken out, as it was; undefined where there is none. */
  readonly restore: (workshop: string, id: string) => Promise<StashPieceRow | undefined>
  /** Keeps free pieces for a cover: all or none. */
  readonly reserve: (workshop: string, coverId: string, pieces: readonly ChosenPiece[]) => Promise<Taken>
  readonly release: (workshop: string, coverId: string, pieces: readonly ChosenPiece[]) => Promise<Taken>
  readonly releaseAll: (workshop: string, coverId: string) => Promise<void>
  /** Cuts pieces that are free or kept for this cover, and puts what is left back: all or none. */
  readonly cut: (workshop: string, coverId: string, pieces: readonly CutPiece[]) => Promise<Taken>
  /** Says the lengths of a material's pieces otherwise, each as `say` has it. */
  readonly restate: (
    workshop: string,
    materialId: string,
    say: (typed: TypedLength) => TypedLength,
  ) => Promise<void>
  /** The newest first. */
  readonly history: (workshop: string, materialId: string, page: PageRequest) => Promise<Page<StashEventRow>>
  readonly note: (workshop: string, events: readonly StashEvent[]) => Promise<void>
}

export function createStashRepository(session: Session, given: RepositoryTools): StashRepository {
  const tools: StashTools = { ...given, session }
  const { models, transaction } = session

  const within = <Result>(work: (inner: StashTools) => Promise<Result>) =>
    session.together(inner => work({ ...tools, session: inner }))

  const changeOne = (
    workshopId: string,
    { id, version }: ChosenPiece,
    make: (inner: StashTools, piece: StashPieceRow) => Promise<StashPieceRow>,
    said?: StashPieceBody,
  ): Promise<Written<StashPieceRow>> =>
    within(async inner => {
      const [piece] = await holdPieces(inner, workshopId, { id })
      if (!piece || piece.version !== version) return missed(piece, said)
      if (piece.state === 'cut') return missed(piece)
      return { kind: 'written', row: await make(inner, piece) }
    })

  return {
    list: async (workshopId, { after, limit }) => {
      const further = after === undefined ? {} : { seq: { [Op.gt]: after } }
      const where = { workshopId, deletedAt: null, state: { [Op.ne]: 'cut' }, ...further } as WhereOptions
      const order: [string, string][] = [['seq', 'ASC']]
      const rows = await models.StashPiece.findAll({ where, order, limit: limit + 1, raw: true, transaction })
      return pageOf(rows as unknown as { seq: string }[], limit, readPiece)
    },
    find: async (workshopId, id) => {
      const where = { workshopId, id, deletedAt: null } as WhereOptions
      const found = await models.StashPiece.findOne({ where, raw: true, transaction })
      return found ? readPiece(found) : undefined
    },
    add: (workshopId, materialId, body) =>
      within(async inner => {
        const where = { workshopId, id: materialId, deletedAt: null } as WhereOptions
        const known = await models.Material.count({ where, transaction: inner.session.transaction })
        if (known === 0) return undefined
        const [row] = await insertPieces(inner, workshopId, [{ materialId, pieces: [body] }])
        if (row) await noteEvents(inner, workshopId, eventsOf([row], 'piece-added'))
        return row
      }),
    addAll: (workshopId, added) =>
      within(async inner => {
        const rows = await insertPieces(inner, workshopId, added)
        await noteEvents(inner, workshopId, eventsOf(rows, 'piece-added'))
      }),
    change: (workshop, chosen, body) =>
      changeOne(
        workshop,
        chosen,
        async (inner, piece) => {
          const [row = piece] = await changePieces(inner, workshop, [piece], body)
          const detail = `${sayPiece(piece)} → ${sayPiece(row)}`
          await noteEvents(inner, workshop, [{ materialId: piece.materialId, what: 'piece-changed', detail }])
          return row
        },
        body,
      ),
    remove: (workshop, chosen) =>
      changeOne(workshop, chosen, async (inner, piece) => {
        const [row = piece] = await changePieces(inner, workshop, [piece], { deletedAt: tools.now() })
        await noteEvents(inner, workshop, eventsOf([piece], 'piece-gone'))
        return row
      }),
    restore: (workshopId, id) =>
      within(async inner => {
        const where = { workshopId, id, deletedAt: { [Op.ne]: null } } as WhereOptions
        const within = { returning: true, transaction: inner.session.transaction } as const
        const [, rows] = await models.StashPiece.update({ deletedAt: null }, { where, ...within })
        const row = rows[0] ? readPiece(rows[0].get()) : undefined
        if (!row) return (await holdPieces(inner, workshopId, { id }))[0]
        await noteEvents(inner, workshopId, eventsOf([row], 'piece-added'))
        return row
      }),
    reserve: (workshop, coverId, chosen) => reservePieces(tools, workshop, coverId, chosen),
    release: (workshop, coverId, chosen) => releasePieces(tools, workshop, coverId, chosen),
    releaseAll: (workshop, coverId) => releaseAllOf(tools, workshop, coverId),
    cut: (workshop, coverId, chosen) => cutPieces(tools, workshop, coverId, chosen),
    restate: (workshop, materialId, say) =>
      within(async inner => {
        const said = (typed: TypedLength | null) => (typed === null ? null : say(typed))
        for (const piece of await holdPieces(inner, workshop, { materialId })) {
          const sides = { width: said(piece.width), length: said(piece.length) }
          if (sides.width !== piece.width || sides.length !== piece.length)
            await changePieces(inner, workshop, [piece], sides)
        }
      }),
    history: async (workshopId, materialId, { after, limit }) => {
      const further = after === undefined ? {} : { id: { [Op.lt]: after } }
      const rows = await models.StashEvent.findAll({
        where: { workshopId, materialId, ...further } as WhereOptions,
        order: [['id', 'DESC']],
        limit: limit + 1,
        raw: true,
        transaction,
      })
      const stored = rows as unknown as { id: string; at: Date; what: string; detail: string }[]
      return pageOf(
        stored.map(row => ({ ...row, seq: row.id })),
        limit,
        ({ at, what, detail }) => stashEventRow.parse({ at: at.toISOString(), what, detail }),
      )
    },
    note: (workshop, events) => noteEvents(tools, workshop, events),
  }
}
