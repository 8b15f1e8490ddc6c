import type { Carried, Carry, Held, Pulled } from '@snowdrift/core'

/** What a setting came to that was changed in the picture. */
export interface ToldLength extends Pulled {
  readonly kind: 'length'
  readonly held: Held
}

/** Where something lies that was carried. */
export interface ToldPlace extends Carried {
  readonly kind: 'place'
  readonly carry: Carry
}

/** What a change in the picture came to. */
export type Told = ToldLength | ToldPlace
