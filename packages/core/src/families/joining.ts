/** Which side of a piece looks up, as it lies on the table. */
export type Face = 'right side up' | 'right side down'

/** One piece in a pile that is about to be joined. */
export interface PiledLayer {
  readonly piece: string
  readonly name: string
  readonly face: Face
  /** Where it lies when it does not cover the pile: a flap at one end, say. */
  readonly place?: 'left' | 'right' | 'both ends' | 'middle' | 'bottom' | 'top'
}

/** One joining: the pile from the table upwards, where it is joined, and where one looks from. */
export interface Joining {
  readonly id: string
  readonly name: string
  readonly layers: readonly PiledLayer[]
  readonly edges: readonly ('left' | 'right' | 'top' | 'bottom')[]
  readonly how: 'stitch' | 'glue'
  /** The gap that is left open in the bottom edge, to turn the work through. */
  readonly opening?: boolean
  /** Where the maker looks from. */
  readonly seenFrom: string
}

export function piled(
  piece: string,
  face: Face,
  place?: PiledLayer['place'],
  name = piece.replaceAll('-', ' '),
): PiledLayer {
  return { piece, name, face, ...(place && { place }) }
}
