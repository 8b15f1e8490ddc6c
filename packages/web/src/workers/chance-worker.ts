import { answerChance } from './chance-handler'
import type { ChanceReply, ChanceRequest } from './chance-protocol'
import { createLatestRunner } from './run-latest'

const run = createLatestRunner<ChanceRequest, ChanceReply>(answerChance, reply => postMessage(reply))
addEventListener('message', ({ data }: MessageEvent<ChanceRequest | 'cancel'>) => void run(data))
