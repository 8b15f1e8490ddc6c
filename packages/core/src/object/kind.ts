import { mm, zero, type Length } from '../length/length.js'

export const objectKinds = ['hardcover', 'softcover', 'notebook', 'planner', 'journal', 'tablet'] as const
export type ObjectKind = (typeof objectKinds)[number]

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
