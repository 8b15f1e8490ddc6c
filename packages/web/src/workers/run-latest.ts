interface Numbered {
  readonly id: number
}

/** Between two steps a task may have waited at most so long before new messages are looked at. */
const sliceMs = 30

/**
 * Runs the latest request only: while one is worked out, the next is looked for again and again, and drops it. `pause`
 * lets waiting messages in.
 */
export function createLatestRunner<Request extends Numbered, Reply>(
  answer: (request: Request) => Generator<Reply>,
  post: (reply: Reply) => void,
  {
    pause = nextTask,
    now = () => performance.now(),
  }: { readonly pause?: () => Promise<void>; readonly now?: () => number } = {},
): (request: Request | 'cancel') => Promise<void> {
  let latest = 0
  return async request => {
    latest = request === 'cancel' ? 0 : request.id
    if (request === 'cancel') return
    let sliceStart = now()
    for (const reply of answer(request)) {
      if (latest !== request.id) return
      post(reply)
      if (now() - sliceStart < sliceMs) continue
      await pause()
      sliceStart = now()
      if (latest !== request.id) return
    }
  }
}

function nextTask(): Promise<void> {
  return new Promise(resolve => setTimeout(resolve, 0))
}
