import { randomUUID } from 'node:crypto'
import { serve as serveNode } from '@hono/node-server'
import { createApp, type Log } from './app.js'
import { connect, type Database } from './db/connect.js'
import { migrate } from './db/migrate.js'
import { createRepositories, type Repositories } from './db/repositories/repositories.js'
import { ensureWorkshop } from './db/repositories/workshops.js'
import { setTimeout } from 'node:timers/promises'
import type { FabricShop } from './devices/shop/shop.js'
import { createSimulatedShop } from './devices/shop/simulated-shop.js'
import { loadDemo } from './demo/load-demo.js'

export interface ServeOptions {
  readonly databaseUrl: string
  readonly port: number
  readonly log: Log
  readonly demo?: boolean
  readonly webFolder?: string
  /** Where cloth is bought; the simulated shop unless said. */
  readonly shop?: FabricShop
}

export interface Server {
  readonly address: string
  readonly workshop: string
  readonly repositories: Repositories
  readonly database: Database
  readonly close: () => Promise<void>
}

/** Connects, migrates, makes the workshop and listens on 127.0.0.1. Demo and own work are workshops of their own. */
export async function serve({
  databaseUrl,
  port,
  log,
  demo = false,
  webFolder,
  shop,
}: ServeOptions): Promise<Server> {
  const database = await connect(databaseUrl)
  await migrate(database.sequelize)
  const now = () => new Date()
  const repositories = createRepositories(database, { now, newId: randomUUID })
  const workshop = await ensureWorkshop(database.models, demo ? 'demo' : 'home', randomUUID)
  if (demo) await loadDemo(repositories, workshop)
  const app = createApp({
    repositories,
    workshopOf: () => workshop,
    shop: shop ?? createSimulatedShop({ now, wait: async ms => setTimeout(ms), chance: Math.random }),
    ping: () => database.sequelize.authenticate(),
    log,
    now,
    ...(webFolder !== undefined && { webFolder }),
  })
  const listening = await listen(app.fetch, port)
  return {
    address: `http://127.0.0.1:${listening.port}`,
    workshop,
    repositories,
    database,
    close: async () => {
      await listening.close()
      await database.close()
    },
  }
}

async function listen(fetch: Parameters<typeof serveNode>[0]['fetch'], port: number) {
  return new Promise<{ port: number; close: () => Promise<void> }>((resolve, reject) => {
    const server = serveNode(
      { fetch, port, hostname: '127.0.0.1', serverOptions: { requestTimeout: 30_000 } },
      info =>
        resolve({
          port: info.port,
          close: () =>
            new Promise(closed => {
              server.close(() => closed())
              if ('closeAllConnections' in server) server.closeAllConnections()
            }),
        }),
    )
    server.once('error', reject)
  })
}
