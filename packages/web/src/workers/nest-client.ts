import type { NestReply, NestRequest } from './nest-protocol'
import { createWorkerClient, type WorkerClient } from './worker-client'

export type NestClient = WorkerClient<NestRequest, NestReply>

export function createNestClient(): NestClient {
  return createWorkerClient<NestRequest, NestReply>(
    new Worker(new URL('./nest-worker.ts', import.meta.url), { type: 'module' }),
  )
}
