import type { ShopOffer } from '@snowdrift/core'

/** What a fabric shop says when it is asked what it has. */
export type ShopAnswer =
  | { readonly kind: 'offers'; readonly offers: readonly ShopOffer[] }
  | { readonly kind: 'closed'; readonly opensAt: string }

/** A shop that sells what covers are made of. A real one would answer over the network; this is all it must do. */
export interface FabricShop {
  readonly name: string
  /** What it has of a role. It may take its time, be out of some things, or be closed. */
  readonly offers: (role: string) => Promise<ShopAnswer>
}
