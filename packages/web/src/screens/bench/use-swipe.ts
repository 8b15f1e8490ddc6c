import { useRef, type PointerEvent } from 'react'

interface Swipe {
  readonly onLeft: () => void
  readonly onRight: () => void
}

const farEnough = 90

/** A finger drawn across the page, more level than upright: to the left goes on, to the right goes back. */
export function useSwipe({ onLeft, onRight }: Swipe) {
  const from = useRef<{ readonly x: number; readonly y: number } | null>(null)
  return {
    onPointerDown: (event: PointerEvent) => {
      from.current = event.pointerType === 'touch' ? { x: event.clientX, y: event.clientY } : null
    },
    onPointerCancel: () => {
      from.current = null
    },
    onPointerUp: (event: PointerEvent) => {
      const began = from.current
      from.current = null
      if (!began) return
      const [across, down] = [event.clientX - began.x, event.clientY - began.y]
      if (Math.abs(across) < farEnough || Math.abs(down) > Math.abs(across) / 2) return
      if (across < 0) onLeft()
      else onRight()
    },
    style: { touchAction: 'pan-y' as const },
  }
}
