import type { Held, SettableSize } from '@snowdrift/core'

/** What was opened in the picture, to be typed: a size that is written there, or the setting behind an edge. */
export type Opened = {
  /** Where in the picture. */
  readonly anchor: SVGGElement
  /** The key that opened it, where that began a length. */
  readonly first: string
} & (
  | { readonly kind: 'size'; readonly size: SettableSize; readonly name: string }
  | { readonly kind: 'setting'; readonly held: Held }
)
