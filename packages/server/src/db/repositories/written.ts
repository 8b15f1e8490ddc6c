import { isDeepStrictEqual } from 'node:util'

/** The outcome of a write that was based on a version. */
export type Written<Row> =
  | { readonly kind: 'written'; readonly row: Row }
  | { readonly kind: 'stale'; readonly current: Row }
  | { readonly kind: 'missing' }

/** The version that a write is based on; `new` where the writer knows of none and names the row itself. */
export type BasedOn = number | 'new'

/**
 * What comes of a write that found no row of the version it was based on. Where the row says already what was to be
 * written, there is nothing to write and nothing in conflict; `said` is left out where that cannot be.
 */
export function missed<Row extends object>(current: Row | undefined, said?: object): Written<Row> {
  if (!current) return { kind: 'missing' }
  return said && holds(current, said) ? { kind: 'written', row: current } : { kind: 'stale', current }
}

function holds(row: object, said: object): boolean {
  const stored = row as Readonly<Record<string, unknown>>
  return Object.entries(said).every(([key, value]) => isDeepStrictEqual(stored[key], value))
}
