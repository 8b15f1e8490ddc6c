import type { Unit } from '@snowdrift/core'

/** What a digital tape says. */
export type TapeNews =
  /** Its button was pressed: what it saw in the moments round that, in millimetres, and the unit that it is set to. */
  | { readonly kind: 'reading'; readonly samplesMm: readonly number[]; readonly unit: Unit }
  | { readonly kind: 'battery'; readonly percent: number }
  | { readonly kind: 'connected' }
  | { readonly kind: 'lost' }

/** A tape that sends what it reads. One that types like a keyboard needs none of this: it types into the field. */
export interface DigitalTape {
  readonly name: string
  readonly connect: () => Promise<void>
  readonly disconnect: () => void
  /** Gives the function that ends it. */
  readonly listen: (hear: (news: TapeNews) => void) => () => void
}
