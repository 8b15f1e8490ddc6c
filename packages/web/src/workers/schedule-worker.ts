import { createLatestRunner } from './run-latest'
import { answerSchedule } from './schedule-handler'
import type { ScheduleJob, ScheduleReply } from './schedule-protocol'

const run = createLatestRunner<ScheduleJob, ScheduleReply>(answerSchedule, reply => postMessage(reply))
addEventListener('message', ({ data }: MessageEvent<ScheduleJob | 'cancel'>) => void run(data))
