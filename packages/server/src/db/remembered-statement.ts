import type pg from 'pg'
import type { Session } from './session.js'

/**
 * Runs a statement that each connection remembers under its name: it is read and planned once, not with every page that
 * somebody turns; behind a pool that changes connections it is none that was read before. Values are bound.
 */
export async function queryRemembered<Row extends object>(
  { sequelize, transaction, remembers }: Session,
  name: string,
  text: string,
  values: readonly unknown[],
): Promise<readonly Row[]> {
  const query = (connection: object) =>
    (connection as pg.Client)
      .query<Row>({ ...(remembers && { name }), text, values: [...values] })
      .then(({ rows }) => rows)
  // Within a transaction the connection is the transaction's own.
  if (transaction) return query((transaction as unknown as { readonly connection: object }).connection)
  const { connectionManager } = sequelize
  const connection = await connectionManager.getConnection({ type: 'read' })
  try {
    return await query(connection)
  } finally {
    connectionManager.releaseConnection(connection)
  }
}
