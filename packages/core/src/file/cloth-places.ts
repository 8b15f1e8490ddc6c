import { z } from 'zod'
import { formatLength } from '../length/format.js'
import { lengthInput } from '../length/length-input.js'
import { mm, zero, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import { layoutLimits as limits, type AvoidedPlace } from '../nest/request.js'
import type { Issue } from './issue.js'

/** The places of one cloth that no piece may cover, as they are typed; a bare number is in `unit`. */
export function avoidedPlacesSchema(unit: Unit) {
  const place = lengthInput(unit, { min: zero, max: mm(limits.clothMm.max) })
  const side = lengthInput(unit, { min: mm(limits.sideMm.min), max: mm(limits.clothMm.max) })
  return z.array(z.strictObject({ x: place, y: place, width: side, height: side })).max(limits.avoided)
}

/** The marks of one cloth, likewise. */
export function markedPlacesSchema(unit: Unit) {
  const { element } = avoidedPlacesSchema(unit)
  return z
    .array(element.extend({ name: z.string().trim().min(1).max(40), what: z.enum(markKinds) }))
    .max(limits.avoided)
}

/** What a maker marks on a cloth to be seen: a motif, a printed border, a fold that is there already. */
export const markKinds = ['motif', 'border', 'fold'] as const
export type MarkKind = (typeof markKinds)[number]

interface Ground {
  readonly name: string
  readonly width: Length
  readonly length?: Length
}

/**
 * What is wrong with where they are: one that begins beyond an edge was misread; one that reaches over it is what lies on
 * the cloth of it.
 */
export function checkAvoidedPlaces(
  places: readonly AvoidedPlace[],
  { name, width, length }: Ground,
  path: string,
  unit: Unit,
  what = 'a place to avoid',
): readonly Issue[] {
  const say = (at: Length) => formatLength(at, unit, { finest: 16 })
  return places.flatMap(({ x, y }, index) =>
    [
      ...(x >= width ? [{ side: 'x', edge: width, from: x }] : []),
      ...(length !== undefined && y >= length ? [{ side: 'y', edge: length, from: y }] : []),
    ].map(({ side, edge, from }) => ({
      path: `${path}[${index}].${side}`,
      message: `${name} ends at ${say(edge)}; found ${what} that begins at ${say(from)}.`,
    })),
  )
}
