import { scale, subtract, longest, zero, type Length } from '../length/length.js'
import { because, totalOf, type Reason } from '../piece/reason.js'
import { assumedBoardThickness } from './kind.js'
import { largestReading, smallestReading, type CoveredObject } from './reading.js'

/**
 * The arc over the spine: T where flat, 1.07·T rounded, max(T, (π/2)·C) on a coil. Undefined without a thickness.
 * Source: docs/craft.md, Derived sizes.
 */
export function deriveSpineArc(object: CoveredObject): Length | undefined {
  const thickness = largestReading(object, 'thickness')
  if (thickness === undefined) return undefined
  switch (object.spine) {
    case 'flat':
      return thickness
    case 'rounded':
      return scale(thickness, 1.07)
    case 'coil':
      return longest(thickness, scale(largestReading(object, 'coilDiameter') ?? zero, Math.PI / 2))
  }
}

/** Twice the width and the spine: what the wrap ought to read. Undefined where W or T is missing. */
export function deriveWrapFromSides(object: CoveredObject): readonly Reason[] | undefined {
  const width = largestReading(object, 'width')
  const arc = deriveSpineArc(object)
  if (width === undefined || arc === undefined) return undefined
  return [...because('front and back board', scale(width, 2)), ...because('over the spine', arc)]
}

/**
 * The effective wrap with its reasons: the wrap where it was read, else the open width, else 2W + A. Undefined where
 * the readings do not give one.
 */
export function deriveWrap(object: CoveredObject): readonly Reason[] | undefined {
  const wrap = largestReading(object, 'wrap')
  if (wrap !== undefined) return because('wrap round the book', wrap)
  const open = largestReading(object, 'openWidth')
  if (open !== undefined) return because('open width of the book', open)
  return deriveWrapFromSides(object)
}

/** Board thickness as read, or what the kind of thing usually has. */
export function deriveBoard(object: CoveredObject): { readonly length: Length; readonly assumed: boolean } {
  const read = largestReading(object, 'boardThickness')
  return read === undefined
    ? { length: assumedBoardThickness(object.kind), assumed: true }
    : { length: read, assumed: false }
}

/**
 * The width of one board for what must stay inside it: the smallest reading, or half of what the wrap leaves beside
 * the spine where the width was not read. Undefined where neither is known.
 */
export function deriveInnerWidth(object: CoveredObject): Length | undefined {
  const read = smallestReading(object, 'width')
  if (read !== undefined) return read
  const wrap = deriveWrap(object)
  if (!wrap) return undefined
  return scale(subtract(totalOf(wrap), deriveSpineArc(object) ?? zero), 1 / 2)
}
