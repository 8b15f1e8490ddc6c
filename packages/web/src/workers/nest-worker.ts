import { answerNest } from './nest-handler'
import type { NestReply, NestRequest } from './nest-protocol'
import { createLatestRunner } from './run-latest'

const run = createLatestRunner<NestRequest, NestReply>(answerNest, reply => postMessage(reply))
addEventListener('message', ({ data }: MessageEvent<NestRequest | 'cancel'>) => void run(data))
