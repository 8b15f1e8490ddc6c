import { useSyncExternalStore } from 'react'

const query = '(max-width: 40rem)'

/** Whether the window is as narrow as a phone held upright. */
export function useIsNarrow(): boolean {
  return useSyncExternalStore(
    notify => {
      const list = matchMedia(query)
      list.addEventListener('change', notify)
      return () => list.removeEventListener('change', notify)
    },
    () => matchMedia(query).matches,
  )
}
