import { useSyncExternalStore } from 'react'

/** Whether the window is as narrow as a phone held upright. */
export function useIsNarrow(): boolean {
  return useMedia('(max-width: 40rem)')
}

/** Whether the window has room for two columns: what is at hand, and the picture beside it. */
export function useIsWide(): boolean {
  return useMedia('(min-width: 64rem)')
}

/** Whether fingers do the work, and the keyboard is drawn on the screen. */
export function useIsTouch(): boolean {
  return useMedia('(pointer: coarse)')
}

/** Whether nothing is to move by itself. */
export function useWantsStill(): boolean {
  return useMedia('(prefers-reduced-motion: reduce)')
}

function useMedia(query: string): boolean {
  const media = watched(query)
  return useSyncExternalStore(media.watch, media.read)
}

interface Watched {
  readonly watch: (notify: () => void) => () => void
  readonly read: () => boolean
}

const known = new Map<string, Watched>()

/** Asked once and then told: to ask the browser settles the whole page’s layout first, with every field, at every key. */
function watched(query: string): Watched {
  const before = known.get(query)
  if (before) return before
  const list = matchMedia(query)
  let { matches } = list
  const listeners = new Set<() => void>()
  list.addEventListener('change', () => {
    matches = list.matches
    for (const notify of listeners) notify()
  })
  const media: Watched = {
    watch: notify => {
      listeners.add(notify)
      return () => listeners.delete(notify)
    },
    read: () => matches,
  }
  known.set(query, media)
  return media
}
