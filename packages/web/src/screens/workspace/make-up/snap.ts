import { mm, ofTicks, type Length } from '@snowdrift/core'

/** How near a sensible place pulls: an edge, ½ in (12 mm) inside it, the middle. */
const near = mm(4)
const inside = mm(12)

/** A start within its room, drawn to the edges, to ½ in inside them, or to the middle when it comes near. */
export function snap(start: Length, size: Length, room: Length, snapping: boolean): Length {
  if (!snapping) return start
  const end = room - size
  const places = [0, inside, end / 2, end - inside, end].filter(place => place >= 0)
  const nearest = places.reduce(
    (best, place) => (Math.abs(place - start) < Math.abs(best - start) ? place : best),
    Infinity,
  )
  return Math.abs(nearest - start) <= near ? ofTicks(Math.round(nearest)) : start
}
