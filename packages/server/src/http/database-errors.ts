import { ConnectionError, ForeignKeyConstraintError, TimeoutError, UniqueConstraintError } from 'sequelize'

/** What a failure of the database means for a request; undefined where it is none of the database's. */
export type DatabaseTrouble =
  /** It did not answer, or broke off: whether a write was taken is not known. */
  | 'away'
  /** There is no room for more; nothing was taken. */
  | 'full'

/** The states in which a server is leaving, coming or out of connections, and those in which a statement was given up. */
const passing = /^(08\w{3}|57P0[1-5]|53300|53400|57014|55P03|25P0[34]|40001|40P01)$/
const unreachable = /^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT)$/
/** The database says so, or the system of a file beside it. */
const fullStates = /^(53[12]00|ENOSPC|EDQUOT)$/
/** What the driver says in words only: nothing came that could carry a state. */
const brokenOff =
  /connection (terminated|ended|error)|connection manager was closed|read timeout|not queryable/i

/** What the database has to do with a failure; undefined where it refused the statement itself, or had no part in it. */
export function databaseTrouble(error: unknown): DatabaseTrouble | undefined {
  if (error instanceof ConnectionError || error instanceof TimeoutError) return 'away'
  const { code, message } = causeOf(error)
  if (fullStates.test(code)) return 'full'
  return passing.test(code) || unreachable.test(code) || brokenOff.test(message) ? 'away' : undefined
}

/** A row that names another which is not there. */
export function isUnknownReference(error: unknown): boolean {
  return error instanceof ForeignKeyConstraintError
}

/** A second row of a name that may be there only once. */
export function isNameTaken(error: unknown): boolean {
  const { parent } = error as { parent?: { constraint?: unknown } }
  return error instanceof UniqueConstraintError && parent?.constraint === 'rules_by_name'
}

function causeOf(error: unknown): { readonly code: string; readonly message: string } {
  const { parent, message = '', code = '' } = error as { parent?: Error; message?: string; code?: unknown }
  const cause = parent as { code?: unknown; message?: string } | undefined
  return { code: String(cause?.code ?? code), message: cause?.message ?? message }
}
