import { useEffect, useRef, type RefObject } from 'react'

interface PinchProps {
  readonly frame: RefObject<HTMLElement | null>
  readonly zoom: number
  readonly most: number
  readonly onZoom: (zoom: number) => void
}

/**
 * Two fingers drawn apart come closer to what lies beneath them, drawn together go back; so does a wheel with Ctrl, which
 * is what a touchpad makes of two fingers.
 */
export function usePinch({ frame, zoom, most, onZoom }: PinchProps): void {
  const now = useRef({ zoom, onZoom })
  useEffect(() => {
    now.current = { zoom, onZoom }
  })
  useEffect(() => {
    const element = frame.current
    if (!element) return
    const within = (wanted: number) => Math.max(1, Math.min(most, wanted))
    let began: { readonly apart: number; readonly zoom: number } | undefined
    const zoomTo = (wanted: number) => {
      if (within(wanted) !== now.current.zoom) now.current.onZoom(within(wanted))
    }
    const onTouch = (event: TouchEvent) => {
      // what we say ourselves below
      if (!event.isTrusted) return
      const apart = fingersApart(event)
      if (apart === undefined) {
        began = undefined
        return
      }
      // Two fingers here are ours: neither the page zooms, nor is a piece dragged.
      event.preventDefault()
      event.stopPropagation()
      // No two fingers come at once: the first has begun to hold a piece by now, and is to let it go.
      if (!began) event.touches[0]?.target.dispatchEvent(new Event('touchcancel'))
      began ??= { apart, zoom: now.current.zoom }
      zoomTo((began.zoom * apart) / began.apart)
    }
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey) return
      event.preventDefault()
      zoomTo(now.current.zoom * Math.exp(-event.deltaY / 200))
    }
    const kinds = ['touchstart', 'touchmove', 'touchend', 'touchcancel'] as const
    for (const kind of kinds) element.addEventListener(kind, onTouch, { passive: false, capture: true })
    element.addEventListener('wheel', onWheel, { passive: false })
    return () => {
      for (const kind of kinds) element.removeEventListener(kind, onTouch, { capture: true })
      element.removeEventListener('wheel', onWheel)
    }
  }, [frame, most])
}

/** How far two fingers are apart; undefined where there are not two. */
function fingersApart({ touches }: TouchEvent): number | undefined {
  const [one, other] = [touches[0], touches[1]]
  if (!one || !other) return undefined
  return Math.max(1, Math.hypot(one.clientX - other.clientX, one.clientY - other.clientY))
}
