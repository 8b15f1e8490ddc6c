import type { ErrandRequest } from '@snowdrift/core'
import { useEffect, useRef, useState } from 'react'
import { runErrand } from '../api/run-errand'
import { downloadBlob } from './download'

export type ErrandNow =
  | { readonly state: 'resting' }
  | { readonly state: 'running'; readonly part: number }
  | { readonly state: 'done' }
  | { readonly state: 'failed'; readonly why: string }

/** Has the server write something that takes a while, and offers it to keep; one at a time, and it can be stopped. */
export function useErrand() {
  const [now, setNow] = useState<ErrandNow>({ state: 'resting' })
  const running = useRef<AbortController | undefined>(undefined)
  useEffect(() => () => running.current?.abort(), [])
  const start = async (asked: ErrandRequest, fileName: string) => {
    running.current?.abort()
    const { signal } = (running.current = new AbortController())
    setNow({ state: 'running', part: 0 })
    const outcome = await runErrand(asked, signal, part => {
      if (!signal.aborted) setNow({ state: 'running', part })
    })
    if (signal.aborted) return
    if (typeof outcome === 'string') return setNow({ state: 'failed', why: outcome })
    downloadBlob(fileName, outcome)
    setNow({ state: 'done' })
  }
  const stop = () => {
    running.current?.abort()
    setNow({ state: 'resting' })
  }
  return { now, start, stop }
}
