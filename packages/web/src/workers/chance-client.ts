import type { ChanceReply, ChanceRequest } from './chance-protocol'
import { createWorkerClient, type WorkerClient, type WorkerPort } from './worker-client'

export type ChanceClient = WorkerClient<ChanceRequest, ChanceReply>

export function createChanceClient(
  createWorker: () => WorkerPort<ChanceRequest, ChanceReply> = startWorker,
): ChanceClient {
  return createWorkerClient(createWorker())
}

function startWorker(): WorkerPort<ChanceRequest, ChanceReply> {
  return new Worker(new URL('./chance-worker.ts', import.meta.url), { type: 'module' })
}
