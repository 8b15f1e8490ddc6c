import { useCallback, useSyncExternalStore } from 'react'

/** Whether the window is as narrow as a phone held upright. */
export function useIsNarrow(): boolean {
  return useMedia('(max-width: 40rem)')
}

/** Whether fingers do the work, and the keyboard is drawn on the screen. */
export function useIsTouch(): boolean {
  return useMedia('(pointer: coarse)')
}

function useMedia(query: string): boolean {
  const watch = useCallback(
    (notify: () => void) => {
      const list = matchMedia(query)
      list.addEventListener('change', notify)
      return () => list.removeEventListener('change', notify)
    },
    [query],
  )
  return useSyncExternalStore(watch, () => matchMedia(query).matches)
}
