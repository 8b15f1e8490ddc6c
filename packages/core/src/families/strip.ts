import type { Length } from '../length/length.js'

/** One part of the finished cover laid flat, from left to right as seen from outside. */
export interface Panel {
  readonly id: string
  readonly name: string
  readonly kind: 'flap' | 'board' | 'spine' | 'body'
  readonly width: Length
}

/** How a line is made, which decides how it is drawn. */
export type StripLineKind = 'fold' | 'seam' | 'stitch' | 'opening' | 'tie'

/** A line on the strip; the origin is the top left corner of the first panel, y goes down. */
export interface StripLine {
  readonly kind: StripLineKind
  readonly from: readonly [Length, Length]
  readonly to: readonly [Length, Length]
  readonly label?: string
}

/** A layer that ends inside the strip, such as inset padding. */
export interface StripArea {
  readonly piece: string
  readonly at: readonly [Length, Length]
  readonly width: Length
  readonly height: Length
}

export interface Strip {
  readonly panels: readonly Panel[]
  readonly height: Length
  /** Where the cut piece of each stretch of panels ends, outside the seam line. */
  readonly cutPieces: readonly StripArea[]
  readonly areas: readonly StripArea[]
  readonly lines: readonly StripLine[]
}
