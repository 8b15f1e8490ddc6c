import type { CoverFile, Remedy, Simulation, WhatIfId } from '@snowdrift/core'

/** What is asked of a cover. A later request replaces an earlier one. */
export interface ChanceRequest {
  readonly id: number
  readonly file: CoverFile
  /** What goes otherwise than planned; its chance is reckoned beside the plan's. */
  readonly whatIf: readonly WhatIfId[]
  readonly remedies: boolean
}

/** Answers come one after the other: the chance first, what takes longer later. `share` is of the whole request. */
export type ChanceReply = { readonly id: number } & (
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'chance'; readonly simulation: Simulation | undefined }
  | { readonly kind: 'what-if'; readonly simulation: Simulation | undefined }
  | { readonly kind: 'remedies'; readonly remedies: readonly Remedy[] }
  | { readonly kind: 'done' }
)
