import {
  formatLength,
  mm,
  ofTicks,
  subtract,
  toMm,
  zero,
  type AvoidedPlace,
  type Drawing,
  type Length,
  type Point,
  type TypedPlace,
  type Unit,
} from '@snowdrift/core'
import { useState, type PointerEvent } from 'react'

interface Marked {
  readonly from: Point
  readonly to: Point
}

interface Ground {
  readonly width: Length
  readonly length: Length
}

/** Dragging out a place on the picture of a piece of cloth; `onMarked` gets its corners once the hand lets go. */
export function useMarking(onMarked: (marked: Marked) => void) {
  const [marked, setMarked] = useState<Marked>()
  const on = (drawing: Drawing, ground: Ground) => ({
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId)
      const at = pointOf(event, drawing, ground)
      setMarked({ from: at, to: at })
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      const to = pointOf(event, drawing, ground)
      setMarked(before => before && { ...before, to })
    },
    onPointerUp: (event: PointerEvent<HTMLElement>) => {
      setMarked(undefined)
      if (marked) onMarked({ ...marked, to: pointOf(event, drawing, ground) })
    },
    onPointerCancel: () => setMarked(undefined),
  })
  return { place: marked && boxOf(marked.from, marked.to), on }
}

/** Where on the cloth the pointer is; beyond its edge it counts as on the edge. */
function pointOf(event: PointerEvent<HTMLElement>, drawing: Drawing, { width, length }: Ground): Point {
  const box = event.currentTarget.getBoundingClientRect()
  const scale = toMm(drawing.width) / box.width
  const [left, top] = drawing.from
  const within = (at: number, end: Length) => mm(Math.max(0, Math.min(at, toMm(end))))
  return [
    within(toMm(left) + (event.clientX - box.left) * scale, width),
    within(toMm(top) + (event.clientY - box.top) * scale, length),
  ]
}

function boxOf([x1, y1]: Point, [x2, y2]: Point): AvoidedPlace {
  const [left, top] = [ofTicks(Math.min(x1, x2)), ofTicks(Math.min(y1, y2))]
  return {
    x: left,
    y: top,
    width: subtract(ofTicks(Math.max(x1, x2)), left),
    height: subtract(ofTicks(Math.max(y1, y2)), top),
  }
}

/** A place between two corners as a maker would type it: outwards to the marks of the tape, never narrower than one. */
export function placeBetween(from: Point, to: Point, unit: Unit, division: Length): TypedPlace {
  const { x, y, width, height } = boxOf(from, to)
  const down = (at: number) => Math.floor(at / division) * division
  const up = (at: number) => Math.max(division, Math.ceil(at / division) * division)
  const say = (at: number) => formatLength(at <= 0 ? zero : ofTicks(at), unit)
  return {
    x: say(down(x)),
    y: say(down(y)),
    width: say(up(x + width - down(x))),
    height: say(up(y + height - down(y))),
  }
}
