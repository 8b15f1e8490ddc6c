import type { SeriesReply, SeriesRequest } from './series-protocol'
import { createWorkerClient, type WorkerClient } from './worker-client'

export function createSeriesClient(): WorkerClient<SeriesRequest, SeriesReply> {
  return createWorkerClient<SeriesRequest, SeriesReply>(
    new Worker(new URL('./series-worker.ts', import.meta.url), { type: 'module' }),
  )
}
