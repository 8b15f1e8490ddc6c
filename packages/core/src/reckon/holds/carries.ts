import { isHidden, layFor } from '../../drawing/turn-over.js'
import type { Cover } from '../../file/cover.js'
import type { Face, StripPoint } from '../../families/strip.js'
import {
  add,
  clamp,
  longest,
  roundDownTo,
  roundTo,
  subtract,
  zero,
  type Length,
} from '../../length/length.js'
import { drawnTo, sensibleStarts } from '../../length/nearest.js'
import { customary, finestSaid, type Unit } from '../../length/unit.js'
import type { PlacedExtra } from '../../plan/placed.js'
import type { Plan } from '../../plan/plan.js'

/** Something added that can be carried about in the picture of one face, on the ground that it sits on. */
export interface Carry {
  readonly name: string
  readonly placed: PlacedExtra
  /** Its upper left corner in the picture. */
  readonly at: StripPoint
}

/**
 * What can be carried about in the picture of one face. Its right side is what one sees there: so far to the right in the
 * picture is so far from the left of its ground, so far up so far from below.
 */
export function findCarries(
  { extras }: Pick<Cover, 'extras'>,
  { placed, strip }: Pick<Plan, 'placed' | 'strip'>,
  face: Face,
): readonly Carry[] {
  return placed.flatMap(one => {
    const { at, width, height, ground } = one
    const name = extras[one.extra]?.extra.words.name
    const alone = { ...strip, shapes: [{ piece: '', name: '', face: ground.face, at, width, height }] }
    const seen = layFor(alone, face).shapes.at(-1)
    if (!name || !seen || isHidden(seen.face, face) || one.moves.length === 0) return []
    return [{ name, placed: one, at: seen.at }]
  })
}

/** Where something that was carried lies: from the left and from below of its ground. */
export interface Carried {
  readonly x: Length
  readonly y: Length
  /** It was to go further than its ground reaches. */
  readonly isStopped: boolean
}

/** The furthest place of something on its ground, along one of the two: as it can be said, and never over the edge. */
export function farthest(
  { ground, width, height }: Pick<PlacedExtra, 'ground' | 'width' | 'height'>,
  key: 'x' | 'y',
  unit: Unit,
): Length {
  return key === 'x' ? reach(ground.width, width, unit) : reach(ground.height, height, unit)
}

function reach(room: Length, size: Length, unit: Unit): Length {
  return longest(zero, roundDownTo(subtract(room, size), finestSaid(unit)))
}

/** How something is carried. */
export interface Carrying {
  /** By hand it is drawn to edges and middles when it comes near; by keys it goes from mark to mark. */
  readonly by: 'hand' | 'keys'
  /** The finest mark of the tape. */
  readonly division: Length
  readonly unit: Unit
}

/**
 * Carries something by so far to the right and so far up, along the ways that it can go, onto marks of the tape and no
 * further than to where its edge meets that of its ground.
 */
export function carry(
  { x, y, width, height, moves, ground }: Omit<PlacedExtra, 'at' | 'extra'>,
  { right, up }: { readonly right: Length; readonly up: Length },
  { by, division, unit }: Carrying,
): Carried {
  const along = (key: 'x' | 'y', from: Length, far: Length, size: Length, room: Length) => {
    if (far === 0 || !moves.includes(key)) return { to: from, isStopped: false }
    const wanted = roundTo(add(from, far), division)
    const end = reach(room, size, unit)
    const to = clamp(wanted, zero, end)
    const isStopped = to !== wanted
    if (by === 'keys') return { to, isStopped }
    const starts = sensibleStarts({ size, room, inset: customary(1 / 2, unit) })
    return { to: clamp(drawnTo(to, starts), zero, end), isStopped }
  }
  const across = along('x', x, right, width, ground.width)
  const upwards = along('y', y, up, height, ground.height)
  return { x: across.to, y: upwards.to, isStopped: across.isStopped || upwards.isStopped }
}
