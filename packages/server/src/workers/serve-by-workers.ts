import { setTimeout } from 'node:timers/promises'
import { connect, type Database } from '../db/connect.js'
import { listen, type Listening } from '../http/listen.js'
import { prepare, type Prepared } from '../prepare.js'
import { sharingAt } from '../reach/share-listener.js'
import type { House } from '../serve.js'
import type { Workers } from './run-workers.js'
import type { WorkerSettings } from './worker-protocol.js'

interface ServeByWorkersOptions {
  /** They answer. */
  readonly workers: Workers
  readonly settings: WorkerSettings
  readonly metricsPort?: number
  readonly tell: (news: string) => void
}

/**
 * Serves by several processes that share the ports and the database; this one starts them again where they end, and does
 * what is done once, such as gathering metrics.
 */
export async function serveByWorkers({
  workers,
  settings,
  metricsPort,
  tell,
}: ServeByWorkersOptions): Promise<House> {
  const { database, repositories, workshop } = await prepareAtLast(settings, tell)
  try {
    const read = metricsPort === undefined ? undefined : await listenToReaders(metricsPort)
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
    await workers.close()
    await database.close()
    throw error
  }
}

const pauseMs = 500

/** They answer by now: a database that is away just then ends nothing, and is waited for. */
async function prepareAtLast(
  { databaseUrl, isPooled, demo }: WorkerSettings,
  tell: (news: string) => void,
): Promise<Prepared & { readonly database: Database }> {
  for (;;) {
    let database: Database | undefined
    try {
      database = await connect(databaseUrl, { isPooled })
      return { database, ...(await prepare(database, demo)) }
    } catch (error) {
      await database?.close()
      tell(`${(error as Error).message} Trying again …`)
    }
    await setTimeout(pauseMs)
  }
}

async function listenToReaders(port: number): Promise<Listening> {
  const { createGatheredMetrics } = await import('../http/metrics.js')
  return listen(createGatheredMetrics().fetch, { port, stopWithinMs: 1000 })
}
