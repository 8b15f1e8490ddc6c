import { mm, zero, type Length } from '../length/length.js'

export const objectKinds = ['hardcover', 'softcover', 'notebook', 'planner', 'journal', 'tablet'] as const
export type ObjectKind = (typeof objectKinds)[number]

/** The spine that a thing of the kind has as a rule: a planner hangs on a coil, on discs or on rings. */
export function usualSpine(kind: ObjectKind): SpineShape {
  return kind === 'planner' ? 'coil' : 'flat'
}

/** How the edges of a device are shaped, seen in section. Source: docs/craft.md, Measurements. */
export const edgeShapes = ['square', 'eased', 'round'] as const
export type EdgeShape = (typeof edgeShapes)[number]

/** What a tablet measures where nobody laid a tape on it. */
export const assumedTabletThickness = mm(10)
/** And how far that may be off: a standard deviation. */
export const assumedTabletUncertainty = mm(2)

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
