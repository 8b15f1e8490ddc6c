import type { CuttingPin } from '../api/cuttings.js'
import type { PathMark, Point } from '../drawing/drawing.js'
import { toMm } from '../length/length.js'
import { groupKey, groupPieceId, materialOf, type CoverToCut } from './group.js'
import type { PrintPlace } from './print-places.js'

/** Where the beginning of a cloth, at its left selvedge, would lie on the flat cover under a piece that is pinned on it. */
export interface PrintOrigin {
  readonly place: PrintPlace
  /** Millimetres, from the top left corner of the finished cover as it is seen from outside. */
  readonly x: number
  readonly y: number
}

/**
 * Of every piece of a cover that is pinned upright and whose print is seen from outside. A pin on a cloth from which the
 * piece is not cut any more says nothing.
 */
export function printOrigins(
  cover: Pick<CoverToCut, 'id' | 'pieces' | 'stack' | 'cutFrom'>,
  places: readonly PrintPlace[],
  pins: readonly CuttingPin[],
): readonly PrintOrigin[] {
  const keys = new Map(cover.pieces.map(piece => [piece.id, groupKey(materialOf(cover, piece))]))
  return places.flatMap(place => {
    const id = groupPieceId(cover.id, place.piece, place.copy)
    const key = keys.get(place.piece)
    const pin = pins.find(({ group, piece, turned }) => group === key && piece === id && !turned)
    return pin ? [{ place, x: toMm(place.x) - pin.xMm, y: toMm(place.y) - pin.yMm }] : []
  })
}

/**
 * The print that shows in an area of the flat cover: of its own piece, or of the panel that its middle lies on, for panels
 * are drawn as parts of the whole. What is on the inside shows the print of its own piece alone.
 */
export function originUnder(origins: readonly PrintOrigin[], area: PathMark): PrintOrigin | undefined {
  const [x, y] = middleOf(area)
  const under = origins.filter(
    ({ place }) => x > place.x && x < place.x + place.width && y > place.y && y < place.y + place.height,
  )
  const own = under.find(({ place }) => place.piece === area.piece)
  return own ?? (area.fill === 'outside' ? under[0] : undefined)
}

function middleOf({ start, steps }: PathMark): readonly [number, number] {
  const points: readonly Point[] = [start, ...steps.map(({ to }) => to)]
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2]
}
