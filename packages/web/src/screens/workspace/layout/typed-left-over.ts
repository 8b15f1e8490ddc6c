import {
  formatLength,
  marksOnPart,
  type ClothMark,
  type LeftOver,
  type TypedLeftOver,
  type Unit,
} from '@snowdrift/core'

/** What is left of a cloth as it comes back to the stash, with what of its marks lies on it. */
export function typedLeftOver(part: LeftOver, marks: readonly ClothMark[], unit: Unit): TypedLeftOver {
  const said = (length: LeftOver['x']) => formatLength(length, unit)
  return {
    width: said(part.width),
    length: said(part.height),
    marks: marksOnPart(marks, part).map(({ name, what, x, y, width, height }) => ({
      ...{ name, what },
      ...{ x: said(x), y: said(y), width: said(width), height: said(height) },
    })),
  }
}
