import type { CuttingRow } from '@snowdrift/core'

/** The cutting that a cover belongs to: its own, else that of several which it is in. */
export function cuttingOf(coverId: string, rows: readonly CuttingRow[] | undefined): CuttingRow | undefined {
  return rows?.find(({ id }) => id === coverId) ?? rows?.find(({ plan }) => plan.coverIds.includes(coverId))
}
