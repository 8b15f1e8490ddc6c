import { absolute, customary, mm, subtract, type Length, type Piece, type Unit } from '@snowdrift/core'

/** What is pinned on a piece. */
export interface Label {
  readonly name: string
  readonly cover: string
  readonly count: number
  readonly width: Length
  readonly height: Length
  readonly trimTo?: { readonly width: Length; readonly height: Length }
  readonly cloth: string
  /** Pieces that could be taken for it, and how they differ: more than nothing is larger. */
  readonly mixedUpWith: readonly Lookalike[]
}

export interface Lookalike {
  readonly name: string
  readonly wider: Length
  readonly higher: Length
}

export interface LabelNames {
  readonly cover: string
  readonly nameOf: (id: string) => string
  readonly clothOf: (id: string) => string
  readonly unit: Unit
}

/** One label a piece. Two pieces that differ, but by no more than ½ in either way, warn of each other. */
export function labelsOf(
  pieces: readonly Piece[],
  { cover, nameOf, clothOf, unit }: LabelNames,
): readonly Label[] {
  const near = customary(1 / 2, unit)
  return pieces.map(piece => ({
    name: nameOf(piece.id),
    cover,
    count: piece.count,
    width: piece.width.cut,
    height: piece.height.cut,
    ...(piece.trimTo && { trimTo: { width: piece.trimTo.width, height: piece.trimTo.height } }),
    cloth: clothOf(piece.id),
    mixedUpWith: pieces.flatMap(other => {
      const wider = subtract(other.width.cut, piece.width.cut)
      const higher = subtract(other.height.cut, piece.height.cut)
      const isNear = absolute(wider) <= near && absolute(higher) <= near
      const isSame = absolute(wider) < mm(0.05) && absolute(higher) < mm(0.05)
      return isNear && !isSame ? [{ name: nameOf(other.id), wider, higher }] : []
    }),
  }))
}
