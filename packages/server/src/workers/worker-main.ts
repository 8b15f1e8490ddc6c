import { readProxies } from '../environment.js'
import { serve, type Server } from '../serve.js'
import { openServerLog, type ServerLog } from '../server-log.js'
import { isToWorker, type FromWorker, type WorkerSettings } from './worker-protocol.js'

let serving: { readonly server: Server; readonly log: ServerLog } | undefined
let stopping = false

// A terminal tells all of its processes to stop; this one is told by the first, which knows the order.
for (const signal of ['SIGINT', 'SIGHUP'] as const) process.on(signal, () => undefined)
process.on('SIGTERM', () => void stop())
// Without the first process nobody would start this one again, and nobody hand it anything.
process.on('disconnect', () => void stop())
process.on('message', (message: unknown) => {
  if (!isToWorker(message)) return
  if (message.snowdrift === 'stop') void stop()
  else
    start(message.name, message.settings).catch((error: unknown) => {
      tell({ snowdrift: 'fails', message: (error as Error).message })
      void stop()
    })
})

tell({ snowdrift: 'awaits' })

async function start(name: string, settings: WorkerSettings): Promise<void> {
  const { dataFolder, share, measures, ...options } = settings
  const log = await openServerLog(dataFolder, news => console.error(`snowdrift: ${news}`), name)
  const server = await serve({
    ...options,
    log: log.log,
    measures,
    share: { ...share, proxies: readProxies(share.proxies) },
  })
  serving = { server, log }
  if (!settings.hosted && (await server.repositories.devices.isShared(server.workshop)))
    await server.sharing
      .turn(true)
      .catch((error: unknown) => log.log.error({ error: String(error) }, 'others are not let in'))
  tell({ snowdrift: 'serves' })
}

async function stop(): Promise<void> {
  if (stopping) return
  stopping = true
  await serving?.server.close().catch(() => undefined)
  await serving?.log.close()
  process.exit(0)
}

function tell(message: FromWorker): void {
  process.send?.(message)
}
