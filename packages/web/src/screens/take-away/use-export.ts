import type { CoverFile, ExportKind, ExportRequest } from '@snowdrift/core'
import { useEffect, useRef, useState } from 'react'
import { fetchFile } from '../../api/fetch-file'
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
    const outcome = await fetchFile('/api/exports', stop.signal, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ file, as: kind, ...wanted }),
    })
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
