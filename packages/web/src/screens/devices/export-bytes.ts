import type { CoverFile, ExportRequest } from '@snowdrift/core'
import { fetchFile } from '../../api/fetch-file'

/** A cover as a machine is sent it, or why there is none, in a sentence. */
export async function exportBytes(
  file: CoverFile,
  wanted: Partial<Omit<ExportRequest, 'file'>>,
): Promise<Uint8Array | string> {
  const outcome = await fetchFile('/api/exports', AbortSignal.timeout(30_000), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ file, ...wanted }),
  })
  return typeof outcome === 'string' ? outcome : new Uint8Array(await outcome.arrayBuffer())
}
