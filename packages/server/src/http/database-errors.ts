import { ConnectionError, ForeignKeyConstraintError } from 'sequelize'

/** Whether the database did not answer at all, as against having refused something. */
export function isDatabaseDown(error: unknown): boolean {
  if (error instanceof ConnectionError) return true
  const { code } = (error as { parent?: { code?: string } }).parent ?? {}
  return ['ECONNREFUSED', 'ECONNRESET', '57P01', '57P02', '57P03'].includes(code ?? '')
}

/** A row that names another which is not there. */
export function isUnknownReference(error: unknown): boolean {
  return error instanceof ForeignKeyConstraintError
}
