/** What a worker looks like from outside, so that tests can stand in for it. */
export interface WorkerPort<Request, Reply> {
  readonly postMessage: (message: Request | 'cancel') => void
  readonly terminate: () => void
  onmessage: ((event: MessageEvent<Reply>) => void) | null
}

export interface WorkerClient<Request, Reply> {
  /** Drops what was asked before, and hands on every reply to this request until the next. */
  readonly ask: (request: Omit<Request, 'id'>, onReply: (reply: Reply) => void) => void
  readonly cancel: () => void
  readonly close: () => void
}

/** One worker, one question at a time; replies that come late are dropped. */
export function createWorkerClient<
  Request extends { readonly id: number },
  Reply extends { readonly id: number },
>(worker: WorkerPort<Request, Reply>): WorkerClient<Request, Reply> {
  let current = 0
  let hear: (reply: Reply) => void = () => undefined
  worker.onmessage = ({ data }) => {
    if (data.id === current) hear(data)
  }
  return {
    ask: (request, onReply) => {
      current += 1
      hear = onReply
      worker.postMessage({ ...request, id: current } as Request)
    },
    cancel: () => {
      current += 1
      worker.postMessage('cancel')
    },
    close: () => worker.terminate(),
  }
}
