import type { ScheduleJob, ScheduleReply } from './schedule-protocol'
import { createWorkerClient, type WorkerClient } from './worker-client'

export function createScheduleClient(): WorkerClient<ScheduleJob, ScheduleReply> {
  return createWorkerClient<ScheduleJob, ScheduleReply>(
    new Worker(new URL('./schedule-worker.ts', import.meta.url), { type: 'module' }),
  )
}
