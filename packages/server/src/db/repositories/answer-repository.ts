import { Op, QueryTypes } from 'sequelize'
import type { Session } from '../session.js'
import type { RepositoryTools } from './tools.js'

/** What was answered to a write, so that it can be answered again. */
export interface StoredAnswer {
  readonly status: 200 | 201
  readonly body: unknown
  readonly version?: number
}

export type Claim =
  | { readonly kind: 'first' }
  | { readonly kind: 'again'; readonly answer: StoredAnswer }
  /** The key was given to another request. */
  | { readonly kind: 'other' }

/** The answers to writes that carried a key. Both calls belong into the transaction of the write itself. */
export interface AnswerRepository {
  /** Takes the key for this request. Whoever comes second waits until the first is done, and is given its answer. */
  readonly claim: (workshop: string, key: string, fingerprint: string) => Promise<Claim>
  readonly keep: (workshop: string, key: string, answer: StoredAnswer) => Promise<void>
  /** Forgets what was answered longer ago; gives how many that were. */
  readonly forgetBefore: (at: Date) => Promise<number>
}

export function createAnswerRepository(
  { models, sequelize, transaction }: Session,
  { now }: Pick<RepositoryTools, 'now'>,
): AnswerRepository {
  const { Answer } = models
  return {
    claim: async (workshop, key, fingerprint) => {
      const [claimed] = await sequelize.query<{ key: string }>(
        `INSERT INTO answers (workshop_id, key, fingerprint, at) VALUES ($1, $2, $3, $4)
         ON CONFLICT DO NOTHING RETURNING key`,
        { bind: [workshop, key, fingerprint, now()], type: QueryTypes.SELECT, transaction },
      )
      if (claimed) return { kind: 'first' }
      const known = await Answer.findOne({ where: { workshopId: workshop, key }, transaction, raw: true })
      // Gone between the two statements: a transaction that was given up. The key is free for the next try.
      if (!known) return { kind: 'other' }
      const stored = known as unknown as { fingerprint: string; answer: StoredAnswer }
      return stored.fingerprint === fingerprint ? { kind: 'again', answer: stored.answer } : { kind: 'other' }
    },
    keep: async (workshopId, key, answer) => {
      await Answer.update({ answer }, { where: { workshopId, key }, transaction })
    },
    forgetBefore: at => Answer.destroy({ where: { at: { [Op.lt]: at } } }),
  }
}
