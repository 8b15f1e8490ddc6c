import { toMm, type Mark, type PathMark } from '@snowdrift/core'
import type { ClothLook } from './look'

/** A photograph as it is laid beneath a shape. */
export interface Bed {
  readonly photo: NonNullable<ClothLook['photo']>
  /** The upper left corners of its repeats, in millimetres. */
  readonly tiles: readonly (readonly [x: number, y: number])[]
}

/** Of more than so many a pattern is drawn faster, for they are small then. */
const mostTiles = 16

/** A photograph laid side by side so that a shape is covered; undefined where it has none, or too often for that. */
export function bedOf(mark: Mark, look: ClothLook | undefined): Bed | undefined {
  if (!look?.photo || mark.kind !== 'path') return undefined
  const { left, right, top, bottom } = reachOf(mark)
  const { photo, from: [x, y] = [0, 0] } = look
  const { width, height } = photo.tile
  const columns = between(left - x, right - x, width)
  const rows = between(top - y, bottom - y, height)
  if (columns.length * rows.length > mostTiles) return undefined
  return {
    photo,
    tiles: rows.flatMap(row => columns.map(column => [x + column * width, y + row * height] as const)),
  }
}

/** Which repeats reach into a stretch. */
function between(from: number, to: number, size: number): readonly number[] {
  const first = Math.floor(from / size)
  const count = Math.min(Math.ceil(to / size) - first, mostTiles + 1)
  return Array.from({ length: Math.max(0, count) }, (_, index) => first + index)
}

/** Round ends reach further than the places between which they are drawn, by their radius at most. */
function reachOf({ start, steps }: PathMark) {
  const round = Math.max(0, ...steps.map(step => ('radius' in step ? toMm(step.radius) : 0)))
  const places = [start, ...steps.map(({ to }) => to)]
  const [xs, ys] = [0, 1].map(axis => places.map(place => toMm(place[axis as 0 | 1]))) as [number[], number[]]
  return {
    ...{ left: Math.min(...xs) - round, right: Math.max(...xs) + round },
    ...{ top: Math.min(...ys) - round, bottom: Math.max(...ys) + round },
  }
}
