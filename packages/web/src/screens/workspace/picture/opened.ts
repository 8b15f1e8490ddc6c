import type { Carry, Dimension, Held, SettableSize } from '@snowdrift/core'

interface Place {
  /** Where in the picture. */
  readonly anchor: SVGGElement
  /** The key that opened it, where that began a length. */
  readonly first: string
}

/** A size that is written there and that no setting decides. */
export interface OpenedFollowing extends Place {
  readonly kind: 'following'
  readonly dimension: Dimension
  readonly name: string
}

/** Something that can be carried about. */
export interface OpenedCarry extends Place {
  readonly kind: 'carry'
  readonly carry: Carry
}

/** A size that is written there, or the setting behind an edge. */
export type OpenedSetting = Place &
  (
    | { readonly kind: 'size'; readonly size: SettableSize; readonly name: string }
    | { readonly kind: 'setting'; readonly held: Held }
  )

/** What was opened in the picture, to be typed, or to be told of. */
export type Opened = OpenedSetting | OpenedFollowing | OpenedCarry
