import { mm, ofTicks, type Length } from '../../length/length.js'

/** How near a sensible place pulls. */
const near = mm(4)

interface Room {
  readonly size: Length
  readonly room: Length
  readonly inset: Length
}

/** A start within its room, drawn to the edges, to `inset` from them, or to the middle when it comes near. */
export function drawTo(start: Length, { size, room, inset }: Room): Length {
  const end = room - size
  const places = [0, inset, end / 2, end - inset, end].filter(place => place >= 0)
  const nearest = places.reduce(
    (best, place) => (Math.abs(place - start) < Math.abs(best - start) ? place : best),
    Infinity,
  )
  return Math.abs(nearest - start) <= near ? ofTicks(Math.round(nearest)) : start
}
