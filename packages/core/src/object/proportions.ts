import { longest, mm, scale, shortest, zero, type Length } from '../length/length.js'
import { deriveBoard, deriveInnerWidth, deriveThickness } from './derive.js'
import type { ObjectKind } from './kind.js'
import { largestReading, type CoveredObject, type ReadingKey } from './reading.js'

/** The sides of a thing as far as they are known; what nobody read is as such things usually are. */
export interface Proportions {
  readonly height: Length
  readonly width: Length
  readonly thickness: Length
  readonly board: Length
  readonly coil: Length
  readonly corner: Length
  /** Which of the sides were read, or follow from what was. */
  readonly known: ReadonlySet<'height' | 'width' | 'thickness'>
}

interface Usual {
  readonly height: Length
  readonly width: Length
  readonly thickness: Length
}

const usual: Readonly<Record<ObjectKind, Usual>> = {
  hardcover: { height: mm(230), width: mm(155), thickness: mm(26) },
  softcover: { height: mm(200), width: mm(130), thickness: mm(16) },
  notebook: { height: mm(210), width: mm(148), thickness: mm(12) },
  planner: { height: mm(230), width: mm(190), thickness: mm(24) },
  journal: { height: mm(210), width: mm(130), thickness: mm(20) },
  tablet: { height: mm(170), width: mm(120), thickness: mm(9) },
}

/**
 * The true proportions of a thing that is being measured. A side that is not known yet goes by the one that is, as such
 * things are shaped; of a journal the leaf block counts.
 */
export function deriveProportions(object: CoveredObject): Proportions {
  const read = (...keys: readonly ReadingKey[]) =>
    keys.map(key => largestReading(object, key)).find(length => length !== undefined)
  const like = usual[object.kind]
  const height = read('height', 'pageHeight')
  const width = read('width', 'pageWidth') ?? deriveInnerWidth(object)
  const thickness = read('thickness', 'contentsThickness') ?? deriveThickness(object)
  const shape = like.width / like.height
  const sides = { height, width, thickness }
  const known = (['height', 'width', 'thickness'] as const).filter(side => sides[side] !== undefined)
  const wide = width ?? (height === undefined ? like.width : scale(height, shape))
  return {
    height: height ?? scale(wide, 1 / shape),
    width: wide,
    thickness: longest(mm(2), thickness ?? shortest(like.thickness, scale(wide, 1 / 2))),
    board: deriveBoard(object).length,
    coil: read('coilDiameter') ?? (object.spine === 'coil' ? scale(thickness ?? like.thickness, 1.1) : zero),
    corner: read('cornerRadius') ?? (object.kind === 'tablet' ? mm(10) : zero),
    known: new Set(known),
  }
}
