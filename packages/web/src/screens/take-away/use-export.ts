import type { CoverFile, ExportKind, ExportRequest } from '@snowdrift/core'
import { useEffect, useRef, useState } from 'react'
import { describeError } from '../../api/describe-error'
import { downloadBlob, fileNameOf } from '../../parts/download'

export type Export =
  | { readonly state: 'resting' }
  | { readonly state: 'running'; readonly kind: ExportKind }
  | { readonly state: 'done'; readonly kind: ExportKind }
  | { readonly state: 'failed'; readonly kind: ExportKind; readonly why: string }

export type Wanted = Partial<Omit<ExportRequest, 'file' | 'as'>>

/** Has the server write a cover as a file, and offers it to keep; one at a time, and it can be stopped. */
export function useExport(file: CoverFile) {
  const [now, setNow] = useState<Export>({ state: 'resting' })
  const running = useRef<AbortController | undefined>(undefined)
  useEffect(() => () => running.current?.abort(), [])
  const start = async (kind: ExportKind, extension: string, wanted: Wanted) => {
    running.current?.abort()
    const stop = new AbortController()
    running.current = stop
    setNow({ state: 'running', kind })
    const outcome = await ask({ file, as: kind, ...wanted }, stop.signal)
    if (stop.signal.aborted) return
    if (typeof outcome === 'string') return setNow({ state: 'failed', kind, why: outcome })
    downloadBlob(`${fileNameOf(file.name ?? '')}-${kind}.${extension}`, outcome)
    setNow({ state: 'done', kind })
  }
  const stop = () => {
    running.current?.abort()
    setNow({ state: 'resting' })
  }
  return { now, start, stop }
}

/** What the server wrote, or why it did not, in a sentence. */
async function ask(request: object, signal: AbortSignal): Promise<Blob | string> {
  try {
    const answer = await fetch('/api/exports', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(request),
      signal,
    })
    if (answer.ok) return await answer.blob()
    const data: unknown = await answer.json().catch(() => undefined)
    return describeError({ status: answer.status, data })
  } catch {
    return describeError({ status: 'FETCH_ERROR' })
  }
}
