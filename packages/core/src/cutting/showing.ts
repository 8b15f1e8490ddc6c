import type { ClothMark } from '../api/stash.js'
import { add, longest, ofTicks, shortest, subtract, zero, type Length } from '../length/length.js'
import { drawnTo } from '../length/nearest.js'
import type { Part } from '../nest/cut-order.js'
import type { CoverToCut, GroupPiece } from './group.js'
import type { PrintWindow } from './print-places.js'

/** Where in a window a mark comes to lie: in its middle, or along one of its edges. */
export const standings = ['middle', 'foot', 'head', 'left', 'right'] as const
export type Standing = (typeof standings)[number]

/** The windows of a piece in which something can be shown; the last is the whole of it as it is cut. */
export function windowsOf(
  { coverId, piece, copy, width, height }: GroupPiece,
  covers: readonly CoverToCut[],
): readonly PrintWindow[] {
  const cover = covers.find(({ id }) => id === coverId)
  const place = cover?.places?.find(candidate => candidate.piece === piece && candidate.copy === copy)
  const whole = { name: 'the whole piece', x: zero, y: zero, width, height }
  return [...(place?.windows ?? []), whole]
}

/** A motif is shown in the middle, a border along the edge that it runs to, a fold where the piece is folded. */
export function usualStanding({ what, width, height }: ClothMark): Standing {
  if (what !== 'border') return 'middle'
  return width >= height ? 'foot' : 'right'
}

interface Corner {
  /** Less than nothing where the piece would begin before the cloth does. */
  readonly x: Length
  readonly y: Length
}

/** Where the corner of a piece lies on the cloth so that a mark stands in one of its windows. */
export function cornerToShow(window: PrintWindow, mark: ClothMark, standing: Standing): Corner {
  const middleX = mark.x + mark.width / 2 - window.x - window.width / 2
  const middleY = mark.y + mark.height / 2 - window.y - window.height / 2
  switch (standing) {
    case 'middle':
      return corner(middleX, middleY)
    case 'foot':
      return corner(middleX, mark.y + mark.height - window.y - window.height)
    case 'head':
      return corner(middleX, mark.y - window.y)
    case 'left':
      return corner(mark.x - window.x, middleY)
    case 'right':
      return corner(mark.x + mark.width - window.x - window.width, middleY)
  }
}

const across: readonly Standing[] = ['left', 'middle', 'right']
const along: readonly Standing[] = ['head', 'middle', 'foot']

/**
 * The corner of a piece that is slid over its cloth, drawn, each way by itself, to where a mark stands in the middle of a
 * window or along its edge, when that is near. Of a border or a fold only the way across it counts: it goes on along itself.
 */
export function drawnToMarks(
  { x, y }: Corner,
  windows: readonly PrintWindow[],
  marks: readonly ClothMark[],
): Corner {
  const places = (standings: readonly Standing[], of: readonly ClothMark[], key: 'x' | 'y') =>
    windows.flatMap(window =>
      of.flatMap(mark => standings.map(standing => cornerToShow(window, mark, standing)[key])),
    )
  const lying = ({ what, width, height }: ClothMark) => what === 'motif' || width >= height
  const upright = ({ what, width, height }: ClothMark) => what === 'motif' || width < height
  return {
    x: drawnTo(x, places(across, marks.filter(upright), 'x')),
    y: drawnTo(y, places(along, marks.filter(lying), 'y')),
  }
}

/** To the nearest tick. */
function corner(x: number, y: number): Corner {
  return { x: ofTicks(Math.round(x)), y: ofTicks(Math.round(y)) }
}

/** By how much a motif is larger than what it is shown in; a border or a fold may go on beyond it. */
export function cutOffOf(window: PrintWindow, { what, width, height }: ClothMark) {
  if (what !== 'motif') return { width: zero, height: zero }
  return {
    width: longest(zero, subtract(width, window.width)),
    height: longest(zero, subtract(height, window.height)),
  }
}

/**
 * What is marked on a cloth as it lies on a part of it, from the corner of the part: a motif that is whole, a border or a
 * fold as far as it reaches in.
 */
export function marksOnPart(marks: readonly ClothMark[], part: Part): readonly ClothMark[] {
  return marks.flatMap(mark => {
    const [x, right] = within(mark.x, mark.width, part.x, part.width)
    const [y, foot] = within(mark.y, mark.height, part.y, part.height)
    const [width, height] = [subtract(right, x), subtract(foot, y)]
    if (width <= zero || height <= zero) return []
    const isWhole = width === mark.width && height === mark.height
    return mark.what === 'motif' && !isWhole ? [] : [{ ...mark, x, y, width, height }]
  })
}

/** Where a stretch begins and ends in another, from where that begins. */
function within(from: Length, long: Length, start: Length, most: Length): readonly [Length, Length] {
  const [begin, end] = [subtract(from, start), add(subtract(from, start), long)]
  return [longest(zero, begin), shortest(most, end)]
}

interface Ground {
  readonly width: Length
  /** None where the cloth has no end. */
  readonly length?: Length | undefined
}

/** How far a piece would go over each edge of its cloth. */
export function overEdges(
  { x, y }: Corner,
  piece: Pick<GroupPiece, 'width' | 'height'>,
  { width, length }: Ground,
) {
  return {
    left: longest(zero, subtract(zero, x)),
    right: longest(zero, subtract(ofTicks(x + piece.width), width)),
    head: longest(zero, subtract(zero, y)),
    foot: length === undefined ? zero : longest(zero, subtract(ofTicks(y + piece.height), length)),
  }
}
