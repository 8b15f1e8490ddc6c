import { randomUUID } from 'node:crypto'
import { BlockList } from 'node:net'
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
import type { Door } from './http/guard.js'
import { listen } from './http/listen.js'
import { createTries } from './http/tries.js'
import { createChanges } from './live/changes.js'
import { listenToChanges } from './live/listen-to-changes.js'
import { loopbackNames, ownNames } from './reach/own-names.js'
import { createShareListener, type ShareListener, type ShareOptions } from './reach/share-listener.js'
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
  /** How other devices come in; only from this machine unless said. */
  readonly share?: ShareSetup
  /** Where its metrics are read off, on 127.0.0.1; nowhere unless said. */
  readonly metricsPort?: number
  /** How long it waits, when it stops, for what it has begun. */
  readonly stopWithinMs?: number
}

export interface ShareSetup extends ShareOptions {
  readonly proxies?: BlockList
}

export interface Server {
  readonly address: string
  /** Where its metrics are read off, if anywhere. */
  readonly metricsAddress: string | undefined
  readonly workshop: string
  /** The way in for other devices, shut as yet. */
  readonly sharing: ShareListener
  readonly repositories: Repositories
  readonly database: Database
  readonly close: () => Promise<void>
}

/** Who is no longer let in need not be waited for: what they look at ends, what they wrote is answered in a moment. */
const shareStopWithinMs = 1000
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

async function serveFrom(database: Database, options: ServeOptions): Promise<Server> {
  const { port, log, demo = false, webFolder, shop, share, metricsPort, stopWithinMs = 8000 } = options
  await migrate(database.sequelize)
  const now = () => new Date()
  const repositories = createRepositories(database, { now, newId: randomUUID })
  const workshop = await ensureWorkshop(database.models, demo ? 'demo' : 'home', randomUUID)
  if (demo) await loadDemo(repositories, workshop, now())
  const shrinker = createPictureShrinker()
  const metrics = metricsPort === undefined ? undefined : createMetrics()
  const closing = new AbortController()
  const changes = createChanges({ origin: randomUUID(), now: Date.now })
  const proxies = share?.proxies ?? new BlockList()
  const isSealed = share?.certificate !== undefined
  const urlName = share?.url && new URL(share.url).hostname
  const appAt = (door: Door) =>
    createApp({
      repositories,
      workshopOf: () => workshop,
      door,
      sharing,
      pairingTries: createTries(database.sequelize, 'pairing'),
      live: { changes, closing: closing.signal },
      shop: shop ?? createSimulatedShop({ now, wait: async ms => setTimeout(ms), chance: Math.random }),
      shrinker,
      ping: () => database.sequelize.authenticate(),
      log,
      now,
      ...(metrics && { observe: metrics.observe }),
      ...(webFolder !== undefined && { webFolder }),
    })
  // What is in the network is found out for each request: it changes with the room that one carries a computer into.
  const isOwnName = (host: string) => host === urlName || ownNames().has(host)
  const sharing: ShareListener = createShareListener(
    (request, env) => shared.fetch(request, env),
    share ?? { port: 0 },
    shareStopWithinMs,
  )
  const shared = appAt({ isOwnName, needsPairing: true, isSealed, proxies })
  const app = appAt({
    isOwnName: host => loopbackNames.has(host),
    needsPairing: false,
    isSealed: false,
    proxies: new BlockList(),
  })
  const listening = await listen(app.fetch, { port, stopWithinMs })
  const read = metrics && (await listen(metrics.page.fetch, { port: metricsPort ?? 0, stopWithinMs: 1000 }))
  const stopForgetting = forgetOldAnswers(repositories, log)
  const stopListening = listenToChanges(options.databaseUrl, changes, log)
  return {
    address: `http://127.0.0.1:${listening.port}`,
    metricsAddress: read && `http://127.0.0.1:${read.port}/metrics`,
    workshop,
    sharing,
    repositories,
    database,
    close: async () => {
      stopForgetting()
      closing.abort()
      await Promise.all([sharing.turn(false), listening.close(), stopListening()])
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
