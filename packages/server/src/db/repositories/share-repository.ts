import type { OwnersAnswer, ShareBody, ShareKind, ShareRow } from '@snowdrift/core'
import { shareTries } from '@snowdrift/core'
import { literal, Op, type WhereOptions } from 'sequelize'
import type { ShareColumns } from '../models/models.js'
import type { Session } from '../session.js'
import { createSecret, hashOf } from './secret.js'
import type { RepositoryTools } from './tools.js'

/** A link that somebody came with, and whose it is. */
export interface OpenedShare {
  readonly id: string
  readonly workshop: string
  readonly share: ShareRow
}

/** Links that workshops give out. A token is never kept: whoever reads the database cannot open one. */
export interface ShareRepository {
  /** The links of a cover that can still be used or have an answer, the newest first. */
  readonly list: (workshop: string, coverId: string) => Promise<readonly ShareRow[]>
  readonly create: (
    workshop: string,
    body: ShareBody,
  ) => Promise<{ readonly share: ShareRow; readonly token: string }>
  /** False where there is none. */
  readonly revoke: (workshop: string, id: string) => Promise<boolean>
  /** Looks a link up by its token; undefined where it is unknown, taken back, too old or used up. */
  readonly find: (token: string) => Promise<OpenedShare | undefined>
  /** The same, and takes one try of it: no two take the same. */
  readonly use: (token: string, kind: ShareKind) => Promise<OpenedShare | undefined>
  readonly keepAnswer: (id: string, answer: OwnersAnswer) => Promise<void>
  /** Forgets an answer, once it is taken or left; false where there is none. */
  readonly clearAnswer: (workshop: string, id: string) => Promise<boolean>
}

const dayMs = 86_400_000

export function createShareRepository(
  { models: { Share }, transaction }: Session,
  { now, newId }: RepositoryTools,
): ShareRepository {
  const usable = (token: string) => ({
    tokenHash: hashOf(token),
    revokedAt: null,
    expiresAt: { [Op.gt]: now() },
    triesLeft: { [Op.gt]: 0 },
  })
  return {
    list: async (workshopId, coverId) => {
      const rows = await Share.findAll({
        where: { workshopId, coverId, revokedAt: null },
        order: [['createdAt', 'DESC']],
        limit: 50,
        raw: true,
        transaction,
      })
      const at = now().toISOString()
      return (rows as unknown as ShareColumns[])
        .map(readShare)
        .filter(({ expiresAt, triesLeft, answer }) => answer !== null || (expiresAt > at && triesLeft > 0))
    },
    create: async (workshopId, { kind, coverId, thing, days }) => {
      const token = createSecret()
      const createdAt = now()
      const row: ShareColumns = {
        id: newId(),
        workshopId,
        kind,
        coverId,
        thing,
        tokenHash: hashOf(token),
        createdAt,
        expiresAt: new Date(createdAt.getTime() + days * dayMs),
        revokedAt: null,
        triesLeft: shareTries[kind],
        answer: null,
      }
      await Share.create(row, { transaction })
      return { share: readShare(row), token }
    },
    revoke: async (workshopId, id) => {
      const where = { workshopId, id, revokedAt: null }
      const [changed] = await Share.update({ revokedAt: now() }, { where, transaction })
      return changed > 0
    },
    find: async token => {
      const row = await Share.findOne({ where: usable(token), raw: true, transaction })
      return row ? opened(row as unknown as ShareColumns) : undefined
    },
    use: async (token, kind) => {
      const [, rows] = await Share.update(
        { triesLeft: literal('tries_left - 1') },
        { where: { ...usable(token), kind } as WhereOptions, returning: true, transaction },
      )
      return rows[0] ? opened(rows[0].get()) : undefined
    },
    keepAnswer: async (id, answer) => {
      await Share.update({ answer }, { where: { id }, transaction })
    },
    clearAnswer: async (workshopId, id) => {
      const [changed] = await Share.update({ answer: null }, { where: { workshopId, id }, transaction })
      return changed > 0
    },
  }
}

function opened(row: ShareColumns): OpenedShare {
  return { id: row.id, workshop: row.workshopId, share: readShare(row) }
}

function readShare({
  id,
  kind,
  coverId,
  thing,
  createdAt,
  expiresAt,
  triesLeft,
  answer,
}: ShareColumns): ShareRow {
  return {
    id,
    kind,
    coverId,
    thing,
    createdAt: createdAt.toISOString(),
    expiresAt: expiresAt.toISOString(),
    triesLeft,
    answer,
  }
}
