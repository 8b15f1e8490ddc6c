import { useEffect, useRef, type RefObject } from 'react'
import type { Station } from './stations'

/**
 * Who goes to another station goes on there: its area has the focus, so that the next Tab is its first field and a screen
 * reader names it. Where one came in, a field that asks for the cursor has it already.
 */
export function useStationFocus(here: Station): RefObject<HTMLDivElement | null> {
  const area = useRef<HTMLDivElement>(null)
  const before = useRef(here)
  useEffect(() => {
    if (before.current === here) return
    before.current = here
    area.current?.focus({ preventScroll: true })
    area.current?.scrollTo(0, 0)
  }, [here])
  return area
}
