import type { Errand, ErrandRequest } from '@snowdrift/core'
import { Op } from 'sequelize'
import type { ArchiveBrought, ErrandColumns } from '../models/models.js'
import type { Session } from '../session.js'
import type { RepositoryTools } from './tools.js'

/** What became of an errand. */
export type ErrandEnd =
  Required<Pick<Errand, 'file'>> | Required<Pick<Errand, 'archive'>> | { readonly why: string }

/**
 * One time that an errand is done. Another is begun where whoever did it was not heard of for long; that is the one that
 * counts.
 */
export interface ErrandRun {
  readonly id: string
  /** Which time it is. */
  readonly run: number
  readonly workshop: string
  readonly asked: ErrandRequest | ArchiveBrought
  /** What was brought for it, part by part. */
  readonly brought: () => AsyncGenerator<Buffer>
  /** Says how far it is; false where it was called off, or is another’s by now. */
  readonly tell: (part: number) => Promise<boolean>
  /** Keeps the next part of what it wrote. */
  readonly addPart: (bytes: Buffer) => Promise<void>
  /** Leaves it to whoever takes it next. */
  readonly leave: () => Promise<void>
}

/** Heavy work that somebody asked for. Called off it is no longer there, nor what it wrote. */
export interface ErrandRepository {
  /**
   * With what was brought for it. Undefined where so many of the workshop’s are not done yet that one more is too many.
   * Of those that are over, the oldest are forgotten.
   */
  readonly create: (
    workshop: string,
    asked: ErrandRequest | ArchiveBrought,
    most: number,
    brought?: AsyncIterable<Buffer>,
  ) => Promise<Errand | undefined>
  readonly find: (workshop: string, id: string) => Promise<Errand | undefined>
  /** Whether there was one. */
  readonly remove: (workshop: string, id: string) => Promise<boolean>
  /** Whether it is to be begun anew, since whoever did it was not heard of for long; asked by many, one is told so. */
  readonly isLeft: (workshop: string, id: string) => Promise<boolean>
  /** Takes one to do it from the beginning; undefined where it was called off, is done, or somebody is at it. */
  readonly begin: (id: string) => Promise<ErrandRun | undefined>
  /** Ends one, in the transaction of what it did where there is one; false where it was called off, or is another’s by now. */
  readonly end: (run: Pick<ErrandRun, 'id' | 'run'>, end: ErrandEnd) => Promise<boolean>
  /** What it wrote, part by part. */
  readonly parts: (workshop: string, id: string) => AsyncGenerator<Buffer>
  /** Forgets what was asked longer ago. */
  readonly forgetBefore: (at: Date) => Promise<number>
}

/** What was written takes room: of a workshop’s, the newest that are over wait to be fetched. */
const mostKept = 5
/** Whoever does an errand is heard of far more often. */
const silentMs = 30_000
/** What was brought was there before it was begun. */
const broughtRun = 0

export function createErrandRepository(
  { models: { Errand, ErrandPart }, transaction, together }: Session,
  { now, newId }: RepositoryTools,
): ErrandRepository {
  const undone: ErrandColumns['state'][] = ['waiting', 'running']
  const silent = () => ({ toldAt: { [Op.lt]: new Date(now().getTime() - silentMs) } })
  const update = async ({ id, run }: Pick<ErrandRun, 'id' | 'run'>, values: Partial<ErrandColumns>) => {
    const where = { id, run, state: 'running' as const }
    const [count] = await Errand.update({ ...values, toldAt: now() }, { where, transaction })
    return count > 0
  }
  return {
    create: (workshopId, asked, most, brought) =>
      together(async ({ models, transaction: inside }) => {
        const open = await models.Errand.count({ where: { workshopId, state: undone }, transaction: inside })
        if (open >= most) return undefined
        const over = await models.Errand.findAll({
          where: { workshopId, state: { [Op.notIn]: undone } },
          order: [['at', 'DESC']],
          offset: mostKept,
          attributes: ['id'],
          transaction: inside,
        })
        await models.Errand.destroy({ where: { id: over.map(row => row.get().id) }, transaction: inside })
        const row: ErrandColumns = {
          ...{ id: newId(), workshopId, asked, state: 'waiting', part: 0, run: broughtRun },
          ...{ file: null, archive: null, why: null, at: now(), toldAt: now() },
        }
        await models.Errand.create(row, { transaction: inside })
        let number = 0
        for await (const bytes of brought ?? []) {
          const part = { errandId: row.id, run: broughtRun, number: number++, bytes }
          await models.ErrandPart.create(part, { transaction: inside })
        }
        return errandOf(row)
      }),
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
        const written = { errandId: id, run: { [Op.ne]: broughtRun } }
        await models.ErrandPart.destroy({ where: written, transaction: inside })
        return { id, run, workshop, asked, ...runOf({ id, run }) }
      }),
    end: (run, end) =>
      update(run, 'why' in end ? { state: 'failed', ...end } : { state: 'done', part: 1, ...end }),
    parts: async function* (workshopId, id) {
      const row = await Errand.findOne({ where: { workshopId, id, state: 'done' }, transaction })
      if (row) yield* partsOf(id, row.get().run)
    },
    forgetBefore: at => Errand.destroy({ where: { at: { [Op.lt]: at } }, transaction }),
  }

  async function* partsOf(errandId: string, run: number) {
    for (let number = 0; ; number += 1) {
      const part = await ErrandPart.findOne({ where: { errandId, run, number }, transaction })
      if (!part) return
      yield part.get().bytes
    }
  }

  function runOf(run: Pick<ErrandRun, 'id' | 'run'>) {
    let number = 0
    return {
      brought: () => partsOf(run.id, broughtRun),
      tell: (part: number) => update(run, { part }),
      addPart: async (bytes: Buffer) => {
        await ErrandPart.create({ errandId: run.id, run: run.run, number: number++, bytes })
      },
      leave: async () => {
        await update(run, { state: 'waiting' })
      },
    }
  }
}

function errandOf({ id, state, part, file, archive, why }: ErrandColumns): Errand {
  return {
    ...{ id, state, part },
    ...(file && { file }),
    ...(archive && { archive }),
    ...(why !== null && { why }),
  }
}
