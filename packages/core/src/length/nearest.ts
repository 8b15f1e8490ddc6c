import { absolute, mm, ofTicks, subtract, zero, type Length } from './length.js'

/** How near a sensible place pulls what is moved by hand. */
const near = mm(4)

/** The nearest of some sensible places, where one is near; else the place itself. */
export function drawnTo(place: Length, sensible: readonly Length[]): Length {
  const away = (other: Length) => absolute(subtract(other, place))
  const [first = place, ...others] = sensible
  const nearest = others.reduce((best, other) => (away(other) < away(best) ? other : best), first)
  return away(nearest) <= near ? nearest : place
}

interface Room {
  readonly size: Length
  readonly room: Length
  readonly inset: Length
}

/** Where something of a size begins that lies in a room at an edge, `inset` from one, or in the middle. */
export function sensibleStarts({ size, room, inset }: Room): readonly Length[] {
  const end = subtract(room, size)
  const middle = ofTicks(Math.round(end / 2))
  return [zero, inset, middle, subtract(end, inset), end].filter(start => start >= zero)
}
