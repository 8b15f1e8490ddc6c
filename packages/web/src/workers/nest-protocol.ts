import type { CuttingGroup, Layout, LayoutRequest, Purchase, ShopOffer, Unit } from '@snowdrift/core'

/** What is laid out for one material. */
export interface NestJob {
  readonly key: string
  readonly request: LayoutRequest
}

/** What is asked of the shop's offers for one material. */
export interface ShopJob extends NestJob {
  readonly group: CuttingGroup
  readonly offers: readonly ShopOffer[]
  readonly unit: Unit
}

/** A later request replaces an earlier one. */
export interface NestRequest {
  readonly id: number
  /** Laid out in turns, `budgetMs` of each request long. */
  readonly jobs: readonly NestJob[]
  /** Weighed after that, one by one. */
  readonly shopping: readonly ShopJob[]
}

/** A first layout of every job comes at once, better ones as they are found. `share` is of the whole request. */
export type NestReply = { readonly id: number } & (
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'layout'; readonly key: string; readonly layout: Layout }
  | { readonly kind: 'purchases'; readonly key: string; readonly purchases: readonly Purchase[] }
  | { readonly kind: 'done' }
)
