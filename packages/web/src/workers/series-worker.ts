import { createLatestRunner } from './run-latest'
import { answerSeries } from './series-handler'
import type { SeriesReply, SeriesRequest } from './series-protocol'

const run = createLatestRunner<SeriesRequest, SeriesReply>(answerSeries, reply => postMessage(reply))
addEventListener('message', ({ data }: MessageEvent<SeriesRequest | 'cancel'>) => void run(data))
