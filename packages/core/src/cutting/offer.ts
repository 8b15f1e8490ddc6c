import type { Role } from '../material/role.js'

/** What a shop has of one material. */
export interface ShopOffer {
  readonly id: string
  readonly role: Role
  readonly name: string
  readonly thicknessMm: number
  /** Percent lost in the first wash. */
  readonly shrinkage: number
  /** Usable width. */
  readonly widthMm: number
  /** Absent for what is sold in sheets only. */
  readonly pricePerMetre?: number
  /** Cuts of one size that are sold as they are. */
  readonly cuts: readonly {
    readonly name: string
    readonly widthMm: number
    readonly lengthMm: number
    readonly price: number
  }[]
  /** What there is of it; 0 is sold out. */
  readonly stockMm: number
}
