import { connect } from '../db/connect.js'
import { listen, type Listening } from '../http/listen.js'
import { sharingAt } from '../reach/share-listener.js'
import { prepare } from '../prepare.js'
import type { House } from '../serve.js'
import { runWorkers } from './run-workers.js'
import type { WorkerSettings } from './worker-protocol.js'

interface ServeByWorkersOptions {
  readonly count: number
  readonly settings: Omit<WorkerSettings, 'measures'>
  readonly metricsPort?: number
  readonly tell: (news: string) => void
}

/**
 * Serves by several processes that share the ports and the database; this one starts them again where they end, and does
 * what is done once: preparing the tables, gathering metrics.
 */
export async function serveByWorkers({
  count,
  settings,
  metricsPort,
  tell,
}: ServeByWorkersOptions): Promise<House> {
  const database = await connect(settings.databaseUrl, { isPooled: settings.isPooled })
  try {
    const measures = metricsPort !== undefined
    const preparing = prepare(database, settings.demo)
    const known = preparing.then(() => ({ ...settings, measures }))
    const [workers, { repositories, workshop }] = await Promise.all([
      runWorkers({ count, settings: known, tell }),
      preparing,
    ])
    const read = measures ? await listenToReaders(metricsPort) : undefined
    return {
      address: settings.hosted?.origin ?? `http://127.0.0.1:${settings.port}`,
      metricsAddress: read && `http://127.0.0.1:${read.port}/metrics`,
      workshop,
      repositories,
      database,
      letOthersIn: async () => {
        await repositories.devices.setShared(workshop, true)
        return sharingAt(settings.share)
      },
      close: async () => {
        await workers.close()
        await read?.close()
        await database.close()
      },
    }
  } catch (error) {
    await database.close()
    throw error
  }
}

async function listenToReaders(port: number): Promise<Listening> {
  const { createGatheredMetrics } = await import('../http/metrics.js')
  return listen(createGatheredMetrics().fetch, { port, stopWithinMs: 1000 })
}
