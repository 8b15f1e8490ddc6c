import { toMm, type LineMark, type PathMark, type Point } from '@snowdrift/core'

/** A place in millimetres, x to the right and y down. */
export type Place = readonly [x: number, y: number]

export interface Straight {
  readonly kind: 'straight'
  readonly from: Place
  readonly to: Place
}

/** Part of a circle, from one place to another round its middle. */
export interface Arc {
  readonly kind: 'arc'
  readonly from: Place
  readonly to: Place
  readonly middle: Place
  readonly radius: number
  readonly clockwise: boolean
}

export type Segment = Straight | Arc

export function placeOf([x, y]: Point): Place {
  return [toMm(x), toMm(y)]
}

/** A line or a path as straight stretches and arcs, in millimetres; a closed path comes back to its start. */
export function segmentsOf(mark: LineMark | PathMark): readonly Segment[] {
  if (mark.kind === 'line') return [{ kind: 'straight', from: placeOf(mark.from), to: placeOf(mark.to) }]
  let at = placeOf(mark.start)
  const segments = mark.steps.map((step): Segment => {
    const [from, to] = [at, placeOf(step.to)]
    at = to
    return 'radius' in step
      ? arc(from, to, { radius: toMm(step.radius), clockwise: step.clockwise })
      : { kind: 'straight', from, to }
  })
  const start = placeOf(mark.start)
  return mark.closed && (at[0] !== start[0] || at[1] !== start[1])
    ? [...segments, { kind: 'straight', from: at, to: start }]
    : segments
}

/** The smaller arc between two places; a radius too short for them is the least that reaches. */
function arc(
  from: Place,
  to: Place,
  { radius, clockwise }: { readonly radius: number; readonly clockwise: boolean },
): Arc {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]]
  const chord = Math.hypot(dx, dy)
  const r = Math.max(radius, chord / 2)
  const off = Math.sqrt(Math.max(0, r * r - (chord * chord) / 4)) / chord
  // with y down, the middle of a clockwise arc lies to the right of its way
  const side = clockwise ? 1 : -1
  const middle: Place = [(from[0] + to[0]) / 2 - side * off * dy, (from[1] + to[1]) / 2 + side * off * dx]
  return { kind: 'arc', from, to, middle, radius: r, clockwise }
}

/** Where an arc goes, in steps no further from it than a hundredth of a millimetre; its start is left out. */
export function placesAlong({ from, to, middle, radius, clockwise }: Arc): readonly Place[] {
  const angle = ([x, y]: Place) => Math.atan2(y - middle[1], x - middle[0])
  const [first, last] = [angle(from), angle(to)]
  const full = 2 * Math.PI
  // with y down, angles grow clockwise
  const turn = clockwise
    ? (((last - first) % full) + full) % full
    : -((((first - last) % full) + full) % full)
  const step = 2 * Math.acos(Math.max(-1, 1 - 0.01 / Math.max(radius, 0.01)))
  const count = Math.max(1, Math.ceil(Math.abs(turn) / step))
  return Array.from({ length: count }, (_, index): Place => {
    if (index === count - 1) return to
    const at = first + (turn * (index + 1)) / count
    return [middle[0] + radius * Math.cos(at), middle[1] + radius * Math.sin(at)]
  })
}
