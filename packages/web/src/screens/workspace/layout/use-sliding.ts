import { ofTicks, type Drawing, type Length } from '@snowdrift/core'
import { useRef, useState, type KeyboardEvent, type PointerEvent, type RefObject } from 'react'

/** Where the corner of a piece lies on its cloth. */
export interface Spot {
  readonly x: Length
  readonly y: Length
}

interface SlidingProps {
  readonly from: Spot
  /** The last place at which the piece is still on the cloth. */
  readonly most: Spot
  readonly division: Length
  readonly frame: RefObject<HTMLElement | null>
  /** What the hand is drawn to when it comes near; keys go from mark to mark of the tape. */
  readonly draw: (spot: Spot) => Spot
}

interface Grip {
  readonly x: number
  readonly y: number
  readonly at: Spot
}

/**
 * Cloth that is pushed about beneath a piece, by hand or by the arrow keys: it goes the way that it is pushed, so the
 * piece lies the other way on it, on the marks of the tape.
 */
export function useSliding({ from, most, division, frame, draw }: SlidingProps) {
  const [at, setAt] = useState<Spot>({ x: from.x, y: from.y })
  const grip = useRef<Grip | undefined>(undefined)
  const put = (spot: Spot) => setAt({ x: within(spot.x, most.x), y: within(spot.y, most.y) })
  const on = (drawing: Drawing) => ({
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId)
      grip.current = { x: event.clientX, y: event.clientY, at }
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      const held = grip.current
      const pixels = frame.current?.clientWidth
      if (!held || !pixels) return
      const scale = drawing.width / pixels
      const slid = {
        x: onMark(held.at.x - (event.clientX - held.x) * scale, division),
        y: onMark(held.at.y - (event.clientY - held.y) * scale, division),
      }
      put(draw(slid))
    },
    onPointerUp: () => (grip.current = undefined),
    onPointerCancel: () => (grip.current = undefined),
    onKeyDown: (event: KeyboardEvent) => {
      const way = ways[event.key]
      if (!way) return
      event.preventDefault()
      event.stopPropagation()
      const by = division * (event.shiftKey ? 8 : 1)
      put({ x: ofTicks(at.x - way[0] * by), y: ofTicks(at.y - way[1] * by) })
    },
  })
  return { at, put, on }
}

/** The way in which the cloth goes. */
const ways: Readonly<Record<string, readonly [number, number] | undefined>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
}

function onMark(place: number, division: Length): Length {
  return ofTicks(Math.round(place / division) * division)
}

function within(place: Length, most: Length): Length {
  return ofTicks(Math.max(0, Math.min(place, most)))
}
