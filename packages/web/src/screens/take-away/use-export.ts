import type { CoverFile, ExportKind, ExportRequest } from '@snowdrift/core'
import { fetchFile } from '../../api/fetch-file'
import { fileNameOf } from '../../parts/download'
import { useWriting } from '../../parts/use-writing'

export type Wanted = Partial<Omit<ExportRequest, 'file' | 'as'>>

/** Has the server write a cover as a file, and offers it to keep; one at a time, and it can be stopped. */
export function useExport(file: CoverFile) {
  const { now, start, stop } = useWriting<ExportKind>()
  return {
    now,
    start: (kind: ExportKind, extension: string, wanted: Wanted) =>
      start(kind, `${fileNameOf(file.name ?? '')}-${kind}.${extension}`, signal =>
        fetchFile('/api/exports', signal, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ file, as: kind, ...wanted }),
        }),
      ),
    stop,
  }
}
