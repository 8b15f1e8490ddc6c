import { randomUUID } from 'node:crypto'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { BlockList } from 'node:net'
import { createApp } from '../app.js'
import type { Door } from '../http/guard.js'
import { createTries, enterLimits, pairingLimits } from '../http/tries.js'
import { strictStays, usualStays } from '../db/repositories/people/stays.js'
import { createPassphrases, type Passphrases } from '../people/passphrases.js'
import type { Pepper } from '../people/peppers.js'
import { createRelyingParty } from '../people/relying-party.js'
import { createChanges } from '../live/changes.js'
import { loopbackNames } from '../reach/own-names.js'
import type { ShareListener } from '../reach/share-listener.js'
import type { Log } from '../log.js'
import { startCluster, type Cluster } from '../cluster/cluster.js'
import { connect, type Database } from '../db/connect.js'
import type { FabricShop } from '../devices/shop/shop.js'
import { migrate } from '../db/migrate.js'
import { createRepositories, type Repositories } from '../db/repositories/repositories.js'
import { createErrandQueue, type ErrandQueue } from '../errands/errand-queue.js'
import { doErrand } from '../errands/do-errand.js'
import { createExportWriter } from '../exports/export-writer.js'
import { createPictureShrinker } from '../pictures/shrinker.js'
import { ensureWorkshop } from '../db/repositories/workshops.js'

export const quietLog: Log = { info: () => undefined, error: () => undefined }

/** A real PostgreSQL for a run of tests, in a folder of its own that goes away afterwards. */
export interface TestDatabase {
  readonly cluster: Cluster
  readonly folder: string
  readonly remove: () => Promise<void>
}

export async function startTestDatabase(): Promise<TestDatabase> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-test-'))
  const cluster = await startCluster(folder, { careless: true })
  return {
    cluster,
    folder,
    remove: async () => {
      await cluster.stop()
      await rm(folder, { recursive: true })
    },
  }
}

/** An application over the database with two workshops; a header of the test says whose request it is. */
export interface TestApp {
  readonly database: Database
  readonly repositories: Repositories
  readonly ours: string
  readonly theirs: string
  /** Everything that is answered to, as it was registered: with its parameters by name. */
  readonly routes: readonly { readonly method: string; readonly path: string }[]
  /** The same with a body of bytes; the answer as it comes. */
  readonly open: (...asked: BytesAsked) => Promise<Response>
  /** The same, and bytes back. */
  readonly requestBytes: (
    ...asked: BytesAsked
  ) => Promise<{ readonly status: number; readonly bytes: Buffer }>
  readonly request: (method: string, path: string, options?: RequestOptions) => Promise<Answer>
}

type BytesAsked = [
  method: string,
  path: string,
  body?: Buffer,
  workshop?: string,
  headers?: Readonly<Record<string, string>>,
]

export interface RequestOptions {
  readonly body?: unknown
  readonly headers?: Readonly<Record<string, string>>
  readonly workshop?: string
  /** Where the call comes from. */
  readonly address?: string
}

/** What came back; the fields that an answer does not have are undefined, whatever their type says. */
export interface Answer {
  readonly status: number
  readonly headers: Headers
  readonly body: AnswerBody
}

interface AnswerBody {
  readonly id: string
  readonly name: string
  readonly version: number
  readonly file: object
  readonly items: readonly { readonly id: string }[]
  readonly next: string | null
  readonly detail: string
  readonly issues: readonly { readonly path: string; readonly message: string }[]
}

export interface TestAppOptions {
  /** Who has errands done; a queue of its own unless said. */
  readonly queue?: ErrandQueue
  readonly shop?: FabricShop
  readonly limits?: NonNullable<Parameters<typeof connect>[1]>['limits']
  /** What of its way in is otherwise than at the machine itself. */
  readonly door?: Partial<Door>
  /** What time it is taken to be; the machine’s unless said. */
  readonly now?: () => Date
  /** Secrets that go into the hashes of passphrases. */
  readonly peppers?: readonly Pepper[]
  /** Who looks at passphrases, where that is not this process with these secrets. */
  readonly passphrases?: Passphrases
  /** Whether safety goes before comfort. */
  readonly isStrict?: boolean
}

/** Puts a database and an application up for a suite and takes them down after it; gives the way to the application. */
export function useTestApp(options: TestAppOptions = {}): () => TestApp {
  let database: TestDatabase | undefined
  let app: TestApp | undefined
  before(async () => {
    database = await startTestDatabase()
    app = await createTestApp(database.cluster.url, options)
  })
  after(async () => {
    await app?.database.close()
    await database?.remove()
  })
  return () => {
    if (!app) throw new Error('The application is not up before the first test')
    return app
  }
}

/** Opens and shuts nothing, and remembers which. */
function standInSharing(): ShareListener {
  let isOn = false
  return {
    state: () => ({ isOn, addresses: isOn ? ['http://192.168.1.5:4181'] : [], isSealed: false }),
    turn: async next => {
      isOn = next
      return Promise.resolve()
    },
  }
}

export async function createTestApp(url: string, options: TestAppOptions = {}): Promise<TestApp> {
  const database = await connect(url, options.limits && { limits: options.limits })
  await migrate(database)
  const now = options.now ?? (() => new Date())
  const stays = options.isStrict ? strictStays : usualStays
  const repositories = createRepositories(database, { now, newId: randomUUID, stays })
  const ours = await ensureWorkshop(database.models, `ours-${randomUUID()}`, randomUUID)
  const theirs = await ensureWorkshop(database.models, `theirs-${randomUUID()}`, randomUUID)
  const shrinker = createPictureShrinker()
  const write = createExportWriter()
  const tools = { repositories, aged: repositories, write, shrinker, now, log: quietLog }
  const queue =
    options.queue ??
    createErrandQueue({ url, perform: (id, signal) => doErrand(id, tools, signal), log: quietLog })
  const close = async () => {
    await queue.close()
    await database.close()
  }
  const sharing = standInSharing()
  const changes = createChanges({ now: Date.now })
  const door: Door = {
    isOwnName: host => loopbackNames.has(host),
    lets: 'anybody',
    isSealed: false,
    proxies: new BlockList(),
    ...options.door,
  }
  const app = createApp({
    repositories,
    workshopOf: request => request.header('X-Test-Workshop') ?? ours,
    door,
    sharing,
    pairingTries: createTries(database.sequelize, 'pairing', pairingLimits),
    ...(door.lets === 'people' && {
      accounts: {
        tries: createTries(database.sequelize, 'enter', enterLimits),
        relyingParty: createRelyingParty(door.origin ?? 'https://covers.example'),
        passphrases: options.passphrases ?? createPassphrases(options.peppers ?? []),
        isStrict: options.isStrict ?? false,
      },
    }),
    live: { changes, closing: new AbortController().signal },
    shop: options.shop ?? {
      name: 'Test shop',
      offers: async () => Promise.resolve({ kind: 'offers', offers: [] }),
    },
    shrinker,
    write,
    queue,
    ping: () => database.sequelize.authenticate(),
    log: quietLog,
    now,
  })
  const request: TestApp['request'] = async (method, path, options = {}) => {
    const { body, headers, workshop, address } = options
    const response = await app.request(
      `http://127.0.0.1${path}`,
      {
        method,
        headers: {
          Host: '127.0.0.1:4180',
          ...(body !== undefined && { 'Content-Type': 'application/json' }),
          ...(workshop !== undefined && { 'X-Test-Workshop': workshop }),
          ...headers,
        },
        ...(body !== undefined && { body: typeof body === 'string' ? body : JSON.stringify(body) }),
      },
      address && { incoming: { socket: { remoteAddress: address, remotePort: 1, remoteFamily: 'IPv4' } } },
    )
    const text = await response.text()
    return {
      status: response.status,
      headers: response.headers,
      body: (text.startsWith('{') ? JSON.parse(text) : {}) as AnswerBody,
    }
  }
  const open: TestApp['open'] = async (method, path, body, workshop, headers) =>
    app.request(`http://127.0.0.1${path}`, {
      method,
      headers: {
        Host: '127.0.0.1:4180',
        ...(workshop !== undefined && { 'X-Test-Workshop': workshop }),
        ...headers,
      },
      ...(body && { body: new Uint8Array(body) }),
    })
  const requestBytes: TestApp['requestBytes'] = async (...asked) => {
    const response = await open(...asked)
    return { status: response.status, bytes: Buffer.from(await response.arrayBuffer()) }
  }
  const { routes } = app
  return { database: { ...database, close }, repositories, ours, theirs, routes, open, request, requestBytes }
}
