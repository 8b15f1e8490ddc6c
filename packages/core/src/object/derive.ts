import { scale, subtract, longest, zero, type Length } from '../length/length.js'
import { because, becauseRead, totalOf, type Reason } from '../piece/reason.js'
import { assumedBoardThickness, assumedTabletThickness } from './kind.js'
import { largestReading, smallestReading, type CoveredObject } from './reading.js'

/**
 * The arc over the spine: T where flat, 1.07·T rounded, max(T, (π/2)·C) on a coil; where T was not read, what the wrap
 * (else the open width) leaves beside both boards. Undefined where nobody can know it. Source: docs/craft.md, Derived sizes.
 */
export function deriveSpineArc(object: CoveredObject): Length | undefined {
  const reasons = spineReasons(object)
  return reasons ? totalOf(reasons) : arcLeftOver(object)
}

/** What the wrap leaves beside both boards. */
function arcLeftOver(object: CoveredObject): Length | undefined {
  const width = largestReading(object, 'width')
  const round = largestReading(object, 'wrap') ?? largestReading(object, 'openWidth')
  if (width === undefined || round === undefined) return undefined
  return longest(zero, subtract(round, scale(width, 2)))
}

function spineReasons(object: CoveredObject): readonly Reason[] | undefined {
  const thickness = largestReading(object, 'thickness')
  if (thickness === undefined) return undefined
  switch (object.spine) {
    case 'flat':
      return becauseRead('over the spine', 'thickness', thickness)
    case 'rounded':
      return becauseRead('over the spine', 'thickness', thickness, 1.07)
    case 'coil':
      return overCoil(thickness, largestReading(object, 'coilDiameter'))
  }
}

function overCoil(thickness: Length, coil: Length | undefined): readonly Reason[] {
  const flat = becauseRead('over the spine', 'thickness', thickness)
  if (coil === undefined) return flat
  const ways = [flat, becauseRead('over the coil', 'coilDiameter', coil, Math.PI / 2)]
  const [over, round] = ways.map(totalOf)
  return because('over the spine', longest(over ?? zero, round ?? zero), { kind: 'larger', ways })
}

/** Twice the width and the spine: what the wrap ought to read. Undefined where W or T is missing. */
export function deriveWrapFromSides(object: CoveredObject): readonly Reason[] | undefined {
  const width = largestReading(object, 'width')
  const spine = spineReasons(object)
  if (width === undefined || spine === undefined) return undefined
  return [...becauseRead('front and back board', 'width', width, 2), ...spine]
}

/**
 * The effective wrap with its reasons: the wrap where it was read, else the open width, else 2W + A. Undefined where
 * the readings do not give one.
 */
export function deriveWrap(object: CoveredObject): readonly Reason[] | undefined {
  const wrap = largestReading(object, 'wrap')
  if (wrap !== undefined) return becauseRead('wrap round the book', 'wrap', wrap)
  const open = largestReading(object, 'openWidth')
  if (open !== undefined) return becauseRead('open width of the book', 'openWidth', open)
  return deriveWrapFromSides(object)
}

/**
 * How thick the closed thing is: as read, or the arc that the wrap leaves, over 1.07 where the spine is rounded; a
 * tablet’s else as such things are. Undefined where the readings do not give it. Source: docs/craft.md, Derived sizes.
 */
export function deriveThickness(object: CoveredObject): Length | undefined {
  const read = largestReading(object, 'thickness')
  if (read !== undefined) return read
  const arc = arcLeftOver(object)
  if (arc === undefined) return isThicknessAssumed(object) ? assumedTabletThickness : undefined
  return object.spine === 'rounded' ? scale(arc, 1 / 1.07) : arc
}

/** Whether it is a tablet that nobody measured the thickness of, in any way. */
export function isThicknessAssumed(object: CoveredObject): boolean {
  return (
    object.kind === 'tablet' &&
    largestReading(object, 'thickness') === undefined &&
    arcLeftOver(object) === undefined
  )
}

export interface Board {
  readonly length: Length
  /** Nobody measured it. */
  readonly assumed: boolean
}

/** Board thickness as read, or what the kind of thing usually has. */
export function deriveBoard(object: CoveredObject): Board {
  const read = largestReading(object, 'boardThickness')
  return read === undefined
    ? { length: assumedBoardThickness(object.kind), assumed: true }
    : { length: read, assumed: false }
}

/** A board, or several, as a part of a size; one that was assumed has no reading to err with. */
export function becauseOfBoard(label: string, { length, assumed }: Board, count = 1): readonly Reason[] {
  return assumed ? because(label, scale(length, count)) : becauseRead(label, 'boardThickness', length, count)
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

/** Whether the width is half of a wrap whose spine nobody can know: it counts as wider than it is. */
export function isWidthUnknown(object: CoveredObject): boolean {
  return (
    largestReading(object, 'width') === undefined &&
    deriveWrap(object) !== undefined &&
    deriveSpineArc(object) === undefined
  )
}
