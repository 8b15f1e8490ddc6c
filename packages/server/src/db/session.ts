import type { Sequelize, Transaction } from 'sequelize'
import type { Database } from './connect.js'
import type { Models } from './models/models.js'

/** Where statements run: each by itself, or all in one transaction. */
export interface Session {
  readonly models: Models
  readonly sequelize: Sequelize
  /** Null where each statement stands by itself. */
  readonly transaction: Transaction | null
  /** Whether a connection knows again what it was told before. */
  readonly remembers: boolean
  /** Does all of it or nothing. Within a transaction it is part of that one. */
  readonly together: <Result>(work: (session: Session) => Promise<Result>) => Promise<Result>
}

export function openSession({ models, sequelize, isPooled }: Database): Session {
  const remembers = !isPooled
  return {
    models,
    sequelize,
    transaction: null,
    remembers,
    together: work =>
      sequelize.transaction(transaction => {
        const inside: Session = { models, sequelize, transaction, remembers, together: more => more(inside) }
        return work(inside)
      }),
  }
}
