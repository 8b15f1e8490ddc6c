import { useEffect, useState, type ReactNode } from 'react'
import { useSettingsQuery } from '../api/api'

const longestWaitMs = 700

/**
 * Holds a screen back until it is known what the workshop measures in, so that no length changes from one unit into the
 * other before one's eyes. A server that does not answer does not hold it long.
 */
export function OnceSettled({ children }: { readonly children: ReactNode }) {
  const { isLoading } = useSettingsQuery()
  const [waited, setWaited] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setWaited(true), longestWaitMs)
    return () => clearTimeout(timer)
  }, [])
  return isLoading && !waited ? null : children
}
