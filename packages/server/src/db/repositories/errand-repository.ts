import type { Errand, ErrandRequest } from '@snowdrift/core'
import { Op } from 'sequelize'
import type { ErrandColumns } from '../models/models.js'
import type { Session } from '../session.js'
import type { RepositoryTools } from './tools.js'

/** What became of an errand. */
export type ErrandEnd = { readonly file: NonNullable<Errand['file']> } | { readonly why: string }

/**
 * One time that an errand is done. Another is begun where whoever did it was not heard of for long; that is the one that
 * counts.
 */
export interface ErrandRun {
  readonly workshop: string
  readonly asked: ErrandRequest
  /** Says how far it is; false where it was called off, or is another’s by now. */
  readonly tell: (part: number) => Promise<boolean>
  /** Keeps the next part of what it wrote. */
  readonly addPart: (bytes: Buffer) => Promise<void>
  readonly end: (end: ErrandEnd) => Promise<void>
  /** Leaves it to whoever takes it next. */
  readonly leave: () => Promise<void>
}

/** Heavy work that somebody asked for. Called off it is no longer there, nor what it wrote. */
export interface ErrandRepository {
  /**
   * Undefined where so many of the workshop’s are not done yet that one more is too many. Of those that are over, the
   * oldest are forgotten.
   */
  readonly create: (workshop: string, asked: ErrandRequest, most: number) => Promise<Errand | undefined>
  readonly find: (workshop: string, id: string) => Promise<Errand | undefined>
  /** Whether there was one. */
  readonly remove: (workshop: string, id: string) => Promise<boolean>
  /** Whether it is to be begun anew, since whoever did it was not heard of for long; asked by many, one is told so. */
  readonly isLeft: (workshop: string, id: string) => Promise<boolean>
  /** Takes one to do it from the beginning; undefined where it was called off, is done, or somebody is at it. */
  readonly begin: (id: string) => Promise<ErrandRun | undefined>
  /** What it wrote, part by part. */
  readonly parts: (workshop: string, id: string) => AsyncGenerator<Buffer>
  /** Forgets what was asked longer ago. */
  readonly forgetBefore: (at: Date) => Promise<number>
}

/** What was written takes room: of a workshop’s, the newest that are over wait to be fetched. */
const mostKept = 5
/** Whoever does an errand is heard of far more often. */
const silentMs = 30_000

export function createErrandRepository(
  { models: { Errand, ErrandPart }, transaction, together }: Session,
  { now, newId }: RepositoryTools,
): ErrandRepository {
  const undone: ErrandColumns['state'][] = ['waiting', 'running']
  const silent = () => ({ toldAt: { [Op.lt]: new Date(now().getTime() - silentMs) } })
  return {
    create: async (workshopId, asked, most) => {
      const open = await Errand.count({ where: { workshopId, state: undone }, transaction })
      if (open >= most) return undefined
      const over = await Errand.findAll({
        where: { workshopId, state: { [Op.notIn]: undone } },
        order: [['at', 'DESC']],
        offset: mostKept,
        attributes: ['id'],
        transaction,
      })
      await Errand.destroy({ where: { id: over.map(row => row.get().id) }, transaction })
      const row: ErrandColumns = {
        ...{ id: newId(), workshopId, asked, state: 'waiting', part: 0, run: 0 },
        ...{ file: null, why: null, at: now(), toldAt: now() },
      }
      await Errand.create(row, { transaction })
      return errandOf(row)
    },
    find: async (workshopId, id) => {
      const row = await Errand.findOne({ where: { workshopId, id }, transaction })
      return row ? errandOf(row.get()) : undefined
    },
    remove: async (workshopId, id) => (await Errand.destroy({ where: { workshopId, id }, transaction })) > 0,
    isLeft: async (workshopId, id) => {
      const where = { workshopId, id, state: undone, ...silent() }
      const [count] = await Errand.update({ state: 'waiting', toldAt: now() }, { where, transaction })
      return count > 0
    },
    begin: id =>
      together(async ({ models, transaction: inside }) => {
        const free = { [Op.or]: [{ state: 'waiting' as const }, { state: 'running' as const, ...silent() }] }
        const row = await models.Errand.findOne({ where: { id, ...free }, transaction: inside, lock: true })
        if (!row) return undefined
        const { workshopId: workshop, asked, run: before } = row.get()
        const run = before + 1
        await row.update({ state: 'running', part: 0, run, toldAt: now() }, { transaction: inside })
        await models.ErrandPart.destroy({ where: { errandId: id }, transaction: inside })
        return { workshop, asked, ...runOf(id, run) }
      }),
    parts: async function* (workshopId, id) {
      const row = await Errand.findOne({ where: { workshopId, id, state: 'done' }, transaction })
      for (let number = 0; row; number += 1) {
        const key = { errandId: id, run: row.get().run, number }
        const part = await ErrandPart.findOne({ where: key, transaction })
        if (!part) return
        yield part.get().bytes
      }
    },
    forgetBefore: at => Errand.destroy({ where: { at: { [Op.lt]: at } }, transaction }),
  }

  function runOf(id: string, run: number): Omit<ErrandRun, 'workshop' | 'asked'> {
    let number = 0
    const update = async (values: Partial<ErrandColumns>) => {
      const [count] = await Errand.update(
        { ...values, toldAt: now() },
        { where: { id, run, state: 'running' } },
      )
      return count > 0
    }
    return {
      tell: part => update({ part }),
      addPart: async bytes => {
        await ErrandPart.create({ errandId: id, run, number: number++, bytes })
      },
      end: async end => {
        await update(
          'file' in end ? { state: 'done', file: end.file, part: 1 } : { state: 'failed', why: end.why },
        )
      },
      leave: async () => {
        await update({ state: 'waiting' })
      },
    }
  }
}

function errandOf({ id, state, part, file, why }: ErrandColumns): Errand {
  return { id, state, part, ...(file && { file }), ...(why !== null && { why }) }
}
