import { randomUUID } from 'node:crypto'
import { createApp } from './app.js'
import { connect, type Database } from './db/connect.js'
import { migrate } from './db/migrate.js'
import { createRepositories, type Repositories } from './db/repositories/repositories.js'
import { ensureWorkshop } from './db/repositories/workshops.js'
import { setTimeout } from 'node:timers/promises'
import type { FabricShop } from './devices/shop/shop.js'
import { createSimulatedShop } from './devices/shop/simulated-shop.js'
import { loadDemo } from './demo/load-demo.js'
import type { Log } from './log.js'
import { listen } from './http/listen.js'
import { createMetrics } from './http/metrics.js'
import { createPictureShrinker } from './pictures/shrinker.js'

export interface ServeOptions {
  readonly databaseUrl: string
  readonly port: number
  readonly log: Log
  readonly demo?: boolean
  readonly webFolder?: string
  /** Where cloth is bought; the simulated shop unless said. */
  readonly shop?: FabricShop
  /** Where its metrics are read off, on 127.0.0.1; nowhere unless said. */
  readonly metricsPort?: number
  /** How long it waits, when it stops, for what it has begun. */
  readonly stopWithinMs?: number
}

export interface Server {
  readonly address: string
  /** Where its metrics are read off, if anywhere. */
  readonly metricsAddress: string | undefined
  readonly workshop: string
  readonly repositories: Repositories
  readonly database: Database
  readonly close: () => Promise<void>
}

const hourMs = 3_600_000
/** A device that was away for longer asks by what stands there instead. */
const answersKeptMs = 48 * hourMs

/** Connects, migrates, makes the workshop and listens on 127.0.0.1. Demo and own work are workshops of their own. */
export async function serve(options: ServeOptions): Promise<Server> {
  const database = await connect(options.databaseUrl)
  try {
    return await serveFrom(database, options)
  } catch (error) {
    await database.close()
    throw error
  }
}

async function serveFrom(
  database: Database,
  { port, log, demo = false, webFolder, shop, metricsPort, stopWithinMs = 8000 }: ServeOptions,
): Promise<Server> {
  await migrate(database.sequelize)
  const now = () => new Date()
  const repositories = createRepositories(database, { now, newId: randomUUID })
  const workshop = await ensureWorkshop(database.models, demo ? 'demo' : 'home', randomUUID)
  if (demo) await loadDemo(repositories, workshop, now())
  const shrinker = createPictureShrinker()
  const metrics = metricsPort === undefined ? undefined : createMetrics()
  const app = createApp({
    repositories,
    workshopOf: () => workshop,
    shop: shop ?? createSimulatedShop({ now, wait: async ms => setTimeout(ms), chance: Math.random }),
    shrinker,
    ping: () => database.sequelize.authenticate(),
    log,
    now,
    ...(metrics && { observe: metrics.observe }),
    ...(webFolder !== undefined && { webFolder }),
  })
  const listening = await listen(app.fetch, port, stopWithinMs)
  const read = metrics && (await listen(metrics.page.fetch, metricsPort ?? 0, 1000))
  const stopForgetting = forgetOldAnswers(repositories, log)
  return {
    address: `http://127.0.0.1:${listening.port}`,
    metricsAddress: read && `http://127.0.0.1:${read.port}/metrics`,
    workshop,
    repositories,
    database,
    close: async () => {
      stopForgetting()
      await listening.close()
      await read?.close()
      shrinker.close()
      await database.close()
    },
  }
}

/** Once an hour, and at the start. Gives the function that ends it. */
function forgetOldAnswers({ answers }: Repositories, log: Log): () => void {
  const forget = () => {
    answers
      .forgetBefore(new Date(Date.now() - answersKeptMs))
      .catch((error: unknown) => log.error({ error: String(error) }, 'old answers stay'))
  }
  forget()
  const timer = setInterval(forget, hourMs).unref()
  return () => clearInterval(timer)
}
