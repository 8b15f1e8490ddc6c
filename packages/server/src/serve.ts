import type { Sharing } from '@snowdrift/core'
import { BlockList } from 'node:net'
import { createApp } from './app.js'
import { connect, type Database } from './db/connect.js'
import { strictStays } from './db/repositories/people/stays.js'
import { createRepositories, type Repositories } from './db/repositories/repositories.js'
import { setTimeout as pause } from 'node:timers/promises'
import type { FabricShop } from './devices/shop/shop.js'
import { createSimulatedShop } from './devices/shop/simulated-shop.js'
import type { Log } from './log.js'
import type { Door } from './http/guard.js'
import { listen, type Fetch } from './http/listen.js'
import { createTries, pairingLimits } from './http/tries.js'
import { createChanges } from './live/changes.js'
import { listenToChanges } from './live/listen-to-changes.js'
import { createErrandQueue } from './errands/errand-queue.js'
import { doErrand } from './errands/do-errand.js'
import { createExportWriter } from './exports/export-writer.js'
import type { Hosting } from './hosting.js'
import { loopbackNames, ownNames } from './reach/own-names.js'
import { createShareListener, type ShareListener, type ShareOptions } from './reach/share-listener.js'
import { prepare, rowTools } from './prepare.js'
import { createPictureShrinker } from './pictures/shrinker.js'

export interface ServeOptions {
  readonly databaseUrl: string
  /** A pool that hands out connections by transaction stands between, such as pgbouncer. */
  readonly isPooled?: boolean
  /** Where PostgreSQL itself is heard, past a pool; without it changes are looked for each second. */
  readonly listenUrl?: string
  /** A replica, for reads to which a second of age does no harm. */
  readonly readUrl?: string
  readonly port: number
  readonly log: Log
  readonly demo?: boolean
  readonly webFolder?: string
  /** Where cloth is bought; the simulated shop unless said. */
  readonly shop?: FabricShop
  /** How other devices come in; only from this machine unless said. */
  readonly share?: ShareSetup
  /** Where people sign in to it, by one address and no other; else it is at home. */
  readonly hosted?: Hosting
  /** Whether it counts what it answers for whoever reads it off by way of the first process. */
  readonly measures?: boolean
  /** Where its metrics are read off, on 127.0.0.1; nowhere unless said. */
  readonly metricsPort?: number
  /** How long it waits, when it stops, for what it has begun. */
  readonly stopWithinMs?: number
}

export interface ShareSetup extends ShareOptions {
  readonly proxies?: BlockList
}

/** A Snowdrift that answers, by whatever processes. */
export interface House {
  readonly address: string
  /** Where its metrics are read off, if anywhere. */
  readonly metricsAddress: string | undefined
  readonly workshop: string
  readonly repositories: Repositories
  readonly database: Database
  /** Opens the way in for other devices, and says where it is; throws where it cannot be opened. */
  readonly letOthersIn: () => Promise<Sharing>
  readonly close: () => Promise<void>
}

export interface Server extends House {
  /** The way in for other devices, shut as yet. */
  readonly sharing: ShareListener
}

/** Who is no longer let in need not be waited for: what they look at ends, what they wrote is answered in a moment. */
const shareStopWithinMs = 1000
const hourMs = 3_600_000
/** Errands of others can wait; whoever comes up has better things to do first. */
const lookForErrandsAfterMs = 5000
/** A device that was away for longer asks by what stands there instead. */
const answersKeptMs = 48 * hourMs

/** Connects, prepares the tables and the workshop, and listens on 127.0.0.1. */
export async function serve(options: ServeOptions): Promise<Server> {
  const { databaseUrl, isPooled = false, readUrl } = options
  const database = await connect(databaseUrl, { isPooled })
  try {
    const replica = readUrl === undefined ? undefined : await connect(readUrl, { isPooled })
    try {
      return await serveFrom(database, replica, options)
    } catch (error) {
      await replica?.close()
      throw error
    }
  } catch (error) {
    await database.close()
    throw error
  }
}

async function serveFrom(
  database: Database,
  replica: Database | undefined,
  options: ServeOptions,
): Promise<Server> {
  const { log, webFolder, shop, share, hosted, metricsPort, measures = false } = options
  const { now } = rowTools
  const tools = { ...rowTools, ...(hosted?.isStrict && { stays: strictStays }) }
  const { repositories, workshop } = await prepare(database, options.demo ?? false, tools)
  const shrinker = createPictureShrinker()
  const write = createExportWriter()
  const aged = replica ? createRepositories(replica, tools) : repositories
  const queue = createErrandQueue({
    url: options.databaseUrl,
    perform: (id, signal) => doErrand(id, { repositories, aged, write, shrinker, now, log }, signal),
    log,
  })
  const isCounting = metricsPort !== undefined || measures
  const metrics = isCounting ? (await import('./http/metrics.js')).createMetrics() : undefined
  // What asks for passkeys is large, and no server at home needs it.
  const atHand = { persons: repositories.people.persons, sequelize: database.sequelize, log }
  const accounts = hosted && (await (await import('./people/open-accounts.js')).openAccounts(hosted, atHand))
  const closing = new AbortController()
  const changes = createChanges({ now: () => performance.now() })
  const { databaseUrl, isPooled = false, listenUrl } = options
  const following = listenToChanges(listenUrl ?? databaseUrl, changes, log, {
    isPooled: isPooled && listenUrl === undefined,
  })
  const proxies = share?.proxies ?? new BlockList()
  const isSealed = share?.certificate !== undefined
  const urlName = share?.url && new URL(share.url).hostname
  const appAt = (door: Door) =>
    createApp({
      repositories,
      aged,
      write,
      queue,
      workshopOf: () => workshop,
      door,
      sharing,
      pairingTries: createTries(database.sequelize, 'pairing', pairingLimits),
      ...(accounts && { accounts }),
      live: { changes, closing: closing.signal },
      wrote: following.nudge,
      shop: shop ?? createSimulatedShop({ now, wait: async ms => pause(ms), chance: Math.random }),
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
  const shared = appAt({ isOwnName, lets: 'devices', isSealed, proxies })
  const app = hosted
    ? appAt({ lets: 'people', origin: hosted.origin, isOwnName: () => true, isSealed, proxies })
    : appAt({
        isOwnName: host => loopbackNames.has(host),
        lets: 'anybody',
        isSealed: false,
        proxies: new BlockList(),
      })
  const { listening, read } = await takePorts(app.fetch, metrics?.page.fetch, options).catch(
    async (error: unknown) => {
      await following.close()
      throw error
    },
  )
  const stopForgetting = forgetWhatIsOld(repositories, log)
  const beginning = setTimeout(() => {
    void queue.begin()
  }, lookForErrandsAfterMs).unref()
  const stopFollowing = changes.follow(workshop, undefined, ({ change }) => {
    // Whichever process it was said to, the way in is open in all of them, or in none.
    if (!hosted && (change === null || change.kind === 'sharing'))
      repositories.devices
        .isShared(workshop)
        .then(isShared => sharing.turn(isShared))
        .catch((error: unknown) => log.error({ error: String(error) }, 'sharing is not followed'))
  })
  return {
    address: hosted?.origin ?? `http://127.0.0.1:${listening.port}`,
    metricsAddress: read && `http://127.0.0.1:${read.port}/metrics`,
    workshop,
    sharing,
    repositories,
    database,
    letOthersIn: async () => {
      await sharing.turn(true)
      await repositories.devices.setShared(workshop, true)
      return sharing.state()
    },
    close: async () => {
      stopForgetting()
      clearTimeout(beginning)
      stopFollowing()
      closing.abort()
      await Promise.all([sharing.turn(false), listening.close(), following.close(), queue.close()])
      await read?.close()
      shrinker.close()
      await Promise.all([database.close(), replica?.close()])
    },
  }
}

/** Listens for the application and, where it is asked for, for whoever watches over it: at both ports or at none. */
async function takePorts(
  app: Fetch,
  metrics: Fetch | undefined,
  { port, metricsPort, hosted, share, stopWithinMs = 8000 }: ServeOptions,
) {
  const listening = await listen(app, {
    port,
    stopWithinMs,
    ...(hosted?.isOpen && { hostname: '0.0.0.0' }),
    ...(hosted && share?.certificate && { certificate: share.certificate }),
  })
  if (!metrics || metricsPort === undefined) return { listening }
  try {
    return { listening, read: await listen(metrics, { port: metricsPort, stopWithinMs: 1000 }) }
  } catch (error) {
    await listening.close()
    throw error
  }
}

/** Once an hour, and at the start. Gives the function that ends it. */
function forgetWhatIsOld({ answers, errands, people }: Repositories, log: Log): () => void {
  const forget = () => {
    Promise.all([
      answers.forgetBefore(new Date(Date.now() - answersKeptMs)),
      errands.forgetBefore(new Date(Date.now() - hourMs)),
      people.sessions.forgetOld(),
      people.passkeys.forgetOld(),
      people.audit.forgetOld(),
      people.news.forgetOld(),
    ]).catch((error: unknown) => log.error({ error: String(error) }, 'what is old stays'))
  }
  forget()
  const timer = setInterval(forget, hourMs).unref()
  return () => clearInterval(timer)
}
