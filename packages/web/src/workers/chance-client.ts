import type { ChanceReply, ChanceRequest } from './chance-protocol'

/** What a worker looks like from outside, so that tests can stand in for it. */
export interface WorkerPort {
  readonly postMessage: (message: ChanceRequest | 'cancel') => void
  readonly terminate: () => void
  onmessage: ((event: MessageEvent<ChanceReply>) => void) | null
}

export interface ChanceClient {
  /** Drops what was asked before, and hands on every reply to this request until the next. */
  readonly ask: (request: Omit<ChanceRequest, 'id'>, onReply: (reply: ChanceReply) => void) => void
  readonly cancel: () => void
  readonly close: () => void
}

/** One worker, one question at a time; replies that come late are dropped. */
export function createChanceClient(createWorker: () => WorkerPort = startWorker): ChanceClient {
  const worker = createWorker()
  let current = 0
  let hear: (reply: ChanceReply) => void = () => undefined
  worker.onmessage = ({ data }) => {
    if (data.id === current) hear(data)
  }
  return {
    ask: (request, onReply) => {
      current += 1
      hear = onReply
      worker.postMessage({ ...request, id: current })
    },
    cancel: () => {
      current += 1
      worker.postMessage('cancel')
    },
    close: () => worker.terminate(),
  }
}

function startWorker(): WorkerPort {
  return new Worker(new URL('./chance-worker.ts', import.meta.url), { type: 'module' })
}
