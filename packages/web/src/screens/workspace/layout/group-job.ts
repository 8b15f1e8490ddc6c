import type { CuttingGroup, LayoutRequest } from '@snowdrift/core'
import type { Source } from './sources'

/** A group of pieces with its cloth and what the search is asked; nothing is asked where there is no cloth. */
export interface GroupJob {
  readonly group: CuttingGroup
  readonly source: Source
  readonly request: LayoutRequest | undefined
}
