import cluster, { type Worker } from 'node:cluster'
import { join } from 'node:path'
import { StartFailure } from '../start-failure.js'
import { isFromWorker, type ToWorker, type WorkerSettings } from './worker-protocol.js'

export interface Workers {
  /** Once each answers, or has failed to; a first one that cannot even begin is a StartFailure. */
  readonly began: Promise<void>
  /** Has each finish what it has begun. */
  readonly close: () => Promise<void>
}

interface RunOptions {
  readonly count: number
  /** Once there is something to serve; the first of them comes up meanwhile. */
  readonly settings: Promise<WorkerSettings>
  readonly tell: (news: string) => void
}

/** One that ends sooner than this is not started again at once. */
const soonMs = 2000
const stopWithinMs = 12_000

/** Starts so many processes that share the ports between them. One that ends is started again. */
export function runWorkers({ count, settings, tell }: RunOptions): Workers {
  cluster.setupPrimary({ exec: join(import.meta.dirname, 'worker-main.js'), args: [] })
  const state = { isClosing: false }
  const running = new Map<string, Running>()
  const begin = (name: string): Promise<void> => {
    const worker = cluster.fork()
    const began = Date.now()
    const one = { worker, isServing: false }
    running.set(name, one)
    return new Promise((resolve, reject) => {
      worker.on('message', (message: unknown) => {
        if (!isFromWorker(message)) return
        if (message.snowdrift === 'awaits')
          settings.then(known => send(worker, { snowdrift: 'serve', name, settings: known }), reject)
        else if (message.snowdrift === 'serves') {
          one.isServing = true
          resolve()
        } else reject(new StartFailure(message.message))
      })
      worker.once('exit', (code: number | null, signal: string | null) => {
        running.delete(name)
        reject(new StartFailure(`A worker ended before it served (${signal ?? String(code)}).`))
        if (state.isClosing) return
        tell(`A worker ended (${signal ?? String(code)}); it is started again.`)
        setTimeout(
          () => {
            if (!state.isClosing) begin(name).catch((error: unknown) => tell((error as Error).message))
          },
          Math.max(0, soonMs - (Date.now() - began)),
        )
      })
    })
  }
  const close = async () => {
    state.isClosing = true
    await Promise.all([...running.values()].map(stop))
  }
  const beginAll = async () => {
    const [first = '', ...others] = Array.from(
      { length: count },
      (_, number) => `worker-${String(number + 1).padStart(2, '0')}`,
    )
    // The first alone, then one after the other: they would only take the cores from those that answer.
    await begin(first)
    // It serves by now: whichever of the others cannot begin, say because the database is away just then, is tried again.
    for (const name of others) await begin(name).catch((error: unknown) => tell((error as Error).message))
  }
  const began = beginAll()
  // Nobody may have come so far as to wait for it.
  began.catch(() => undefined)
  return { began, close }
}

interface Running {
  readonly worker: Worker
  isServing: boolean
}

/** One that serves finishes what it has begun. One that does not has begun nothing, and may not hear yet what it is told. */
function stop({ worker, isServing }: Running): Promise<void> {
  return new Promise(resolve => {
    const force = setTimeout(() => worker.process.kill('SIGKILL'), stopWithinMs)
    worker.once('exit', () => {
      clearTimeout(force)
      resolve()
    })
    if (worker.isDead()) resolve()
    else if (isServing) send(worker, { snowdrift: 'stop' })
    else worker.process.kill('SIGKILL')
  })
}

/** One that is gone hears nothing, which is no failure: its end is told by itself. */
function send(worker: Worker, message: ToWorker): void {
  worker.send(message, () => undefined)
}
