import { join, resolve } from 'node:path'
import { keepDaily } from './backup/daily.js'
import { startCluster } from './cluster/cluster.js'
import { lockData } from './cluster/data-lock.js'
import { isPortFree } from './cluster/free-port.js'
import { ensureDataFolder } from './data-folder.js'
import { readEnvironment, type ShareEnvironment } from './environment.js'
import type { Certificate } from './http/listen.js'
import { readCertificate } from './reach/certificate.js'
import type { Hosting } from './hosting.js'
import type { House, ServeOptions } from './serve.js'
import { openServerLog } from './server-log.js'
import { StartFailure } from './start-failure.js'
import { runWorkers } from './workers/run-workers.js'
import type { WorkerSettings } from './workers/worker-protocol.js'

type Undo = () => Promise<void>

const undo: Undo[] = []
let stopping = false

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop(0))
// Whatever was not foreseen: what was put up is taken down all the same.
process.on('uncaughtException', error => void giveUp(error))
process.on('unhandledRejection', error => void giveUp(error))

try {
  await start({ demo: process.argv.includes('--demo'), share: process.argv.includes('--share') })
} catch (error) {
  await giveUp(error)
}

/** What fails because it was told to stop meanwhile is no failure. */
async function giveUp(error: unknown): Promise<void> {
  if (stopping) return
  console.error(isForThePerson(error) ? `snowdrift: ${error.message}` : error)
  await stop(1)
}

/** What the system refuses says itself in a sentence; only our own mistakes need their stack. */
function isForThePerson(error: unknown): error is Error {
  return error instanceof StartFailure || (error instanceof Error && 'syscall' in error)
}

type Sharing = ShareEnvironment & { readonly certificate?: Certificate }

interface StartOptions {
  readonly demo: boolean
  /** Lets other devices in, now and from now on. */
  readonly share: boolean
}

async function start({ demo, share }: StartOptions): Promise<void> {
  const environment = readEnvironment(process.env)
  const { isPooled, listenUrl, readUrl } = environment
  const { port, dataFolder, databaseUrl, metricsPort, workers, hosted, share: shareBy } = environment
  if (hosted && share)
    throw new StartFailure('--share is for a machine at home; where it is hosted people sign in.')
  const certificate = shareBy.tls && (await readCertificate(shareBy.tls))
  await ensureDataFolder(dataFolder)
  if (!(await isPortFree(port)))
    throw new StartFailure(
      `Port ${port} is in use. If that is another Snowdrift, open http://127.0.0.1:${port}; else choose a port: PORT=${port + 1} ./snowdrift ${demo ? 'demo' : 'start'}`,
    )
  undo.push(await lockData(dataFolder, `http://127.0.0.1:${port}`))
  // What answers comes up while the database does.
  const answering = workers === 1 ? comeUpAlone() : comeUpTogether(workers)
  const url = databaseUrl ?? (await startOwnDatabase(dataFolder))
  if (stopping) return
  const { log, close } = await openServerLog(dataFolder, say)
  undo.push(close)
  // Whoever names a database of their own sees to its backups.
  if (databaseUrl === undefined)
    undo.push(keepDaily({ folder: join(dataFolder, 'backups'), url, now: () => new Date(), tell: say }))
  const webFolder = resolve(import.meta.dirname, '../../web/dist')
  const by = { isPooled, ...(listenUrl && { listenUrl }), ...(readUrl && { readUrl }) }
  const common = { databaseUrl: url, ...by, port, demo, webFolder, ...(hosted && { hosted }) }
  const metrics = metricsPort !== undefined && { metricsPort }
  const sharing = { ...shareBy, ...(certificate && { certificate }) }
  const server = await (await answering)({ ...common, ...metrics, dataFolder, log, share: sharing })
  undo.push(server.close)
  // Nobody sits at the terminal of a server in a cupboard.
  if (!hosted) {
    const { ringWaits } = await import('./waits/ring-waits.js')
    undo.push(
      ringWaits({
        sequelize: server.database.sequelize,
        workshop: server.workshop,
        now: () => new Date(),
        tell: ({ cover, coverId }) =>
          ringHere(`${cover} need not wait any longer: ${server.address}/covers/${coverId}/bench`),
        trouble: error => log.error({ error: String(error) }, 'waits were not looked for'),
      }),
    )
  }
  console.log(
    `Snowdrift is at ${server.address}${demo ? ' with the demo workshop' : ''}. Ctrl-C stops it; nothing is lost.`,
  )
  if (server.metricsAddress) console.log(`Its metrics are at ${server.metricsAddress}.`)
  // It answers by now: a database that is away just then does not end it.
  const welcome = hosted ? inviteOwner(server, hosted) : letBackIn(server, shareBy.port, share)
  await welcome.catch((error: unknown) => say((error as Error).message))
}

type Answer = (options: Answering) => Promise<House>
type Answering = ServeOptions & {
  readonly isPooled: boolean
  readonly webFolder: string
  readonly demo: boolean
  readonly dataFolder: string
  readonly share: Sharing
}

async function comeUpAlone(): Promise<Answer> {
  const { serve } = await import('./serve.js')
  return serve
}

/**
 * Where several processes answer, the first of them comes up at once. This one hands them their callers, and would hold
 * these up while it reads what it needs itself: it does that at last.
 */
function comeUpTogether(count: number): Answer {
  let release: (settings: WorkerSettings) => void = () => undefined
  const settings = new Promise<WorkerSettings>(resolve => (release = resolve))
  const workers = runWorkers({ count, settings, tell: say })
  undo.push(workers.close)
  return async ({ log: _log, metricsPort, share, ...options }) => {
    const known = { ...options, measures: metricsPort !== undefined, share: settingsOf(share) }
    release(known)
    await workers.began
    const { serveByWorkers } = await import('./workers/serve-by-workers.js')
    return serveByWorkers({
      ...{ workers, settings: known, tell: say },
      ...(metricsPort !== undefined && { metricsPort }),
    })
  }
}

/** Lets other devices in where that is asked for now, or was before. */
async function letBackIn(house: House, port: number, isAsked: boolean): Promise<void> {
  if (!isAsked && !(await house.repositories.devices.isShared(house.workshop))) return
  const { letOthersIn } = await import('./reach/let-others-in.js')
  await letOthersIn(house, { port, tell: text => console.log(text), trouble: say })
}

/** Says how its first owner comes in, as long as it has none. */
async function inviteOwner({ repositories, workshop }: House, { origin }: Hosting): Promise<void> {
  if (await repositories.people.members.hasOwner(workshop)) return
  const { inviteFirst } = await import('./people/invite-first.js')
  console.log(await inviteFirst(repositories, workshop, origin))
}

/** What of the way in for others can be told to another process. */
function settingsOf({ port, url, certificate, proxiesListed: proxies }: Sharing) {
  return { port, proxies, ...(url !== undefined && { url }), ...(certificate && { certificate }) }
}

async function startOwnDatabase(dataFolder: string): Promise<string> {
  console.log(`Starting the database in ${dataFolder} …`)
  const cluster = await startCluster(dataFolder)
  undo.push(cluster.stop)
  cluster.keepUp(say)
  return cluster.url
}

function say(news: string): void {
  if (!stopping) console.error(`snowdrift: ${news}`)
}

/** The terminal’s own bell, where somebody sits at one. */
function ringHere(news: string): void {
  if (!stopping) console.log(`${process.stdout.isTTY ? '\u0007' : ''}${news}`)
}

/** Takes down what was put up, last first; a second signal does not hurry it. */
async function stop(code: number): Promise<void> {
  if (stopping) return
  stopping = true
  if (code === 0) console.log('\nStopping …')
  for (const step of undo.reverse())
    await step().catch((error: unknown) => console.error(`snowdrift: ${(error as Error).message}`))
  process.exit(code)
}
