import type { ColumnMatch } from '@snowdrift/core'

/** What came of a table that was taken in. */
export interface Imported {
  readonly added: number
  /** Materials of the table that were there already, and pieces more of those. */
  readonly known: number
  readonly pieces: number
  /** How the table was read, where it was not in the usual way of writing. */
  readonly readAs?: string
}

/** How the columns of a table are asked to be read, as the address says it. */
export const matchOf = (columns: ColumnMatch | undefined) =>
  columns ? { columns: JSON.stringify(columns) } : {}
