import { mm, type Length } from '@snowdrift/core'
import { useRef, type PointerEvent } from 'react'

/** How far the hand went over the cover: to the right, and down. */
export interface HandMoved {
  readonly x: Length
  readonly y: Length
}

interface OnGrip<Thing> {
  readonly onTake?: (thing: Thing) => void
  /** `since` is the same for all that one hold of the hand does. */
  readonly onMove: (thing: Thing, moved: HandMoved, since: number) => void
  /** After whatever it did, and before a press opens something. */
  readonly onLetGo: () => void
  /** Taken and let go where it was. */
  readonly onPress: (thing: Thing, anchor: SVGGElement) => void
  /** Escape, after it was moved. */
  readonly onPutBack: (thing: Thing, since: number) => void
}

interface Grip<Thing> {
  readonly thing: Thing
  readonly x: number
  readonly y: number
  readonly pixelsPerMm: number
  readonly since: number
  readonly isMoved: boolean
  /** Ends the listening for Escape. */
  readonly listening: AbortController
}

/** Less than this many pixels is a press. */
const stillPress = 3

/** What is taken hold of in the picture by a mouse or a finger: moved, pressed, or put back by Escape while it is in hand. */
export function useGrip<Thing>({ onTake, onMove, onLetGo, onPress, onPutBack }: OnGrip<Thing>) {
  const grip = useRef<Grip<Thing>>(undefined)

  const letGo = () => {
    const { current } = grip
    if (!current) return undefined
    grip.current = undefined
    current.listening.abort()
    onLetGo()
    return current
  }
  const putBack = () => {
    const held = letGo()
    if (held?.isMoved) onPutBack(held.thing, held.since)
  }
  const end = (event: PointerEvent<SVGGElement>) => {
    const held = letGo()
    if (held && !held.isMoved && event.type === 'pointerup') onPress(held.thing, event.currentTarget)
  }

  return (thing: Thing) => ({
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      const pixelsPerMm = event.currentTarget.ownerSVGElement?.getScreenCTM()?.a ?? 0
      if (event.button !== 0 || pixelsPerMm === 0) return
      event.currentTarget.setPointerCapture(event.pointerId)
      const listening = new AbortController()
      const onKey = ({ key }: KeyboardEvent) => key === 'Escape' && putBack()
      addEventListener('keydown', onKey, { signal: listening.signal })
      const { clientX: x, clientY: y, timeStamp: since } = event
      grip.current = { thing, x, y, pixelsPerMm, since, isMoved: false, listening }
      onTake?.(thing)
    },
    onPointerMove: ({ clientX, clientY }: PointerEvent<SVGGElement>) => {
      const { current } = grip
      if (!current) return
      const [x, y] = [clientX - current.x, clientY - current.y]
      if (!current.isMoved && Math.max(Math.abs(x), Math.abs(y)) < stillPress) return
      grip.current = { ...current, isMoved: true }
      const { pixelsPerMm, since } = current
      onMove(current.thing, { x: mm(x / pixelsPerMm), y: mm(y / pixelsPerMm) }, since)
    },
    onPointerUp: end,
    onPointerCancel: end,
  })
}
