import { mm, zero, type Length } from '../length/length.js'

export const objectKinds = ['hardcover', 'softcover', 'notebook', 'planner', 'journal', 'tablet'] as const
export type ObjectKind = (typeof objectKinds)[number]

/** The spine that a thing of the kind has as a rule: a planner hangs on a coil, on discs or on rings. */
export function usualSpine(kind: ObjectKind): SpineShape {
  return kind === 'planner' ? 'coil' : 'flat'
}

export const spineShapes = ['flat', 'rounded', 'coil'] as const
export type SpineShape = (typeof spineShapes)[number]

/** What a cover board measures where nobody measured it. Source: docs/craft.md, Measurements. */
export function assumedBoardThickness(kind: ObjectKind): Length {
  switch (kind) {
    case 'hardcover':
      return mm(2.5)
    case 'notebook':
    case 'planner':
      return mm(1)
    case 'softcover':
    case 'journal':
    case 'tablet':
      return zero
  }
}
