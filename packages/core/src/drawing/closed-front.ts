import { placePanels, type Strip, type StripHole, type StripShape } from '../families/strip.js'
import { rectangle, type PathMark } from './drawing.js'
import { longest, scale, subtract, zero, type Length } from '../length/length.js'

/** A finished, closed cover seen from the front: what shows of it on a shelf. */
export interface ClosedFront {
  /** Where its left edge is on the flat cover, as that is seen from outside. */
  readonly left: Length
  /** How thick it is at the spine, to the left; nothing for a pouch. */
  readonly spine: Length
  /** How much of that shows where it stands a little aslant. */
  readonly spineSeen: Length
  readonly width: Length
  readonly height: Length
  /** Radius of its outer corners. */
  readonly radius: Length
  readonly zip: 'none' | 'top' | 'around'
  /** How far an end that wraps over reaches in from the right. */
  readonly overlap: Length
  /** Pockets, labels and straps on the front, from its own top left corner. */
  readonly shapes: readonly StripShape[]
  readonly holes: readonly StripHole[]
  /** Where a bow is tied; absent where nothing is tied. */
  readonly bow?: 'side' | 'foot'
}

/** What of the flat cover its front is. */
export function areaOfFront({ left, width, height }: ClosedFront): PathMark {
  return rectangle([left, zero], width, height, { style: 'bare', fill: 'outside', piece: 'outer' })
}

/** A spine is seen aslant. */
const shownOfSpine = 0.22

/** The front of a strip: its front board or wall, or the upper half where it folds across. */
export function closedFront(strip: Strip): ClosedFront {
  const placed = placePanels(strip.panels)
  const front = placed.findLast(({ side }) => side === 'front') ?? placed.find(({ kind }) => kind === 'body')
  const width = front?.width ?? zero
  const left = front?.x ?? zero
  const across = strip.lines.find(({ kind, from, to }) => kind === 'fold' && from[1] === to[1])
  const spine = placed.find(({ kind }) => kind === 'spine')?.width ?? zero
  const zips = strip.lines.filter(({ kind, face }) => kind === 'zip' && face === undefined)
  const upright = zips.some(({ from, to }) => from[0] === to[0])
  const wrapsOver = placed.some(({ kind }) => kind === 'fore-edge')
  const last = placed.at(-1)
  return {
    left,
    spine,
    spineSeen: scale(spine, shownOfSpine),
    width: front?.kind === 'body' && !across ? scale(width, 1 / 2) : width,
    height: across ? across.from[1] : strip.height,
    radius: upright ? longest(zero, ...strip.corners.map(({ along }) => along)) : zero,
    zip: zips.length === 0 ? 'none' : upright ? 'around' : 'top',
    overlap: wrapsOver && last?.kind === 'flap' ? last.width : zero,
    shapes: strip.shapes
      .filter(
        ({ face, at, width: wide }) =>
          face === 'outside' && at[0] >= left && at[0] + wide <= left + width + 1,
      )
      .map(shape => ({ ...shape, at: [subtract(shape.at[0], left), shape.at[1]] as const })),
    holes: strip.holes
      .filter(({ at: [x] }) => x >= left && x <= left + width)
      .map(hole => ({ ...hole, at: [subtract(hole.at[0], left), hole.at[1]] as const })),
    ...(strip.lines.some(({ kind }) => kind === 'tie') && {
      bow: across ? ('foot' as const) : ('side' as const),
    }),
  }
}
