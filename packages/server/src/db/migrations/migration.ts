import type { QueryInterface, Transaction } from 'sequelize'

/** One step of the tables. It runs whole, in the transaction that it is given, or not at all. */
export interface Migration {
  readonly up: (db: QueryInterface, transaction: Transaction) => Promise<void>
  readonly down: (db: QueryInterface, transaction: Transaction) => Promise<void>
}
