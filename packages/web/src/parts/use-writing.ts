import { useEffect, useRef, useState } from 'react'
import { downloadBlob } from './download'

/** How far something is that is written for the maker to keep: `of` says which, `part` how much of it (0 to 1). */
export type Writing<Of> =
  | { readonly state: 'resting' }
  | { readonly state: 'running'; readonly of: Of; readonly part: number }
  | { readonly state: 'done'; readonly of: Of }
  | { readonly state: 'failed'; readonly of: Of; readonly why: string }

/** Writes a file, telling how much of it there is; in words what hindered it. */
type Write = (signal: AbortSignal, tell: (part: number) => void) => Promise<Blob | string>

/** Has something written and offers it to keep; one at a time, and it can be stopped. */
export function useWriting<Of>() {
  const [now, setNow] = useState<Writing<Of>>({ state: 'resting' })
  const running = useRef<AbortController | undefined>(undefined)
  useEffect(() => () => running.current?.abort(), [])
  const start = async (of: Of, fileName: string, write: Write) => {
    running.current?.abort()
    const { signal } = (running.current = new AbortController())
    setNow({ state: 'running', of, part: 0 })
    const outcome = await write(signal, part => {
      if (!signal.aborted) setNow({ state: 'running', of, part })
    })
    if (signal.aborted) return
    if (typeof outcome === 'string') return setNow({ state: 'failed', of, why: outcome })
    downloadBlob(fileName, outcome)
    setNow({ state: 'done', of })
  }
  const stop = () => {
    running.current?.abort()
    setNow({ state: 'resting' })
  }
  return { now, start, stop }
}
