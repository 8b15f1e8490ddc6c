import { useEffect } from 'react'

/** What the window, its tab and its place in the history are called: the nearest first. */
export function usePageTitle(...parts: readonly string[]): void {
  const title = [...parts.filter(part => part.trim() !== ''), 'Snowdrift'].join(' · ')
  useEffect(() => {
    document.title = title
  }, [title])
}
