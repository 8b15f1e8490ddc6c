import { expect } from 'chai'
import { unzipSync } from 'fflate'
import { QueryTypes } from 'sequelize'
import { setTimeout } from 'node:timers/promises'
import { connect, limitRole } from './db/connect.js'
import { serve, type ServeOptions, type Server } from './serve.js'
import { coverBody } from './testing/bodies.js'
import { followLive, type HeardEvent } from './testing/follow-live.js'
import { startPool, type Pool } from './testing/pool.js'
import { startReplica, type Replica } from './testing/replica.js'
import { quietLog, startTestDatabase, type TestDatabase } from './testing/test-database.js'

const isCover = ({ event, data }: HeardEvent) =>
  event === 'change' && (data as { kind: string } | null)?.kind === 'cover'

const send = (server: Server, method: string, path: string, body: unknown, headers = {}) =>
  fetch(server.address + path, {
    method,
    headers: { 'Content-Type': 'application/json', ...headers },
    body: JSON.stringify(body),
  })

describe('behind a pool that hands out connections by transaction', function () {
  this.timeout(180_000)
  let database: TestDatabase
  let pool: Pool
  let one: Server
  let other: Server
  before(async () => {
    database = await startTestDatabase()
    // As from the second start on: the limits stand with the role before the pool opens its connections.
    const direct = await connect(database.cluster.url)
    await limitRole(direct)
    await direct.close()
    pool = await startPool(database.cluster.url)
    const options: ServeOptions = {
      databaseUrl: pool.url,
      isPooled: true,
      port: 0,
      log: quietLog,
      demo: true,
    }
    one = await serve(options)
    other = await serve({ ...options, listenUrl: database.cluster.url })
  })
  after(async () => {
    await Promise.all([one, other].map(({ close }) => close()))
    await pool.stop()
    await database.remove()
  })

  it('everything is read and written, by many at once on three connections', async () => {
    const answers = await Promise.all(
      Array.from({ length: 60 }, async (_, number) => {
        const server = number % 2 === 0 ? one : other
        const made = await send(server, 'POST', '/api/covers', coverBody({ name: `Cover ${number}` }))
        const { id } = (await made.json()) as { id: string }
        const read = await fetch(`${server.address}/api/covers/${id}`)
        const listed = await fetch(`${server.address}/api/covers?limit=100`)
        const changed = await send(
          server,
          'PUT',
          `/api/covers/${id}`,
          coverBody({ name: `Changed ${number}` }),
          {
            'If-Match': '"v1"',
          },
        )
        return [made.status, read.status, listed.status, changed.status]
      }),
    )
    for (const statuses of answers) expect(statuses).to.deep.equal([201, 200, 200, 200])
  })

  it('a write is done once, however often and at whichever process it is sent', async () => {
    const key = { 'Idempotency-Key': 'c0ffee00-0000-4000-8000-000000000001' }
    const answers = await Promise.all(
      [one, other, one, other].map(async server => {
        const answer = await send(server, 'POST', '/api/covers', coverBody({ name: 'Once' }), key)
        return ((await answer.json()) as { id: string }).id
      }),
    )
    expect(new Set(answers).size).to.equal(1)
  })

  it('the archive is of one moment', async () => {
    const bytes = new Uint8Array(await (await fetch(`${one.address}/api/archive`)).arrayBuffer())
    expect(Object.keys(unzipSync(bytes)).filter(name => name.startsWith('covers/')).length).to.be.above(60)
  })

  it('nothing takes longer than it may, and every write is on the disk before it is acknowledged', async () => {
    const { sequelize } = one.database
    const settings = await Promise.all(
      Array.from({ length: 12 }, async () => {
        const [row] = await sequelize.query<Record<string, string>>(
          `SELECT current_setting('statement_timeout') AS statement, current_setting('lock_timeout') AS lock,
                  current_setting('synchronous_commit') AS commit, pg_sleep(0.02)::text AS slept`,
          { type: QueryTypes.SELECT },
        )
        return [row?.['statement'], row?.['lock'], row?.['commit']]
      }),
    )
    // The tests' own database waits for no disk, wherever it is asked.
    const direct = await connect(database.cluster.url)
    const [asStarted] = await direct.sequelize.query<{ commit: string }>(
      `SELECT current_setting('synchronous_commit') AS commit`,
      { type: QueryTypes.SELECT },
    )
    await direct.close()
    for (const found of settings) expect(found).to.deep.equal(['8s', '6s', asStarted?.commit])
  })

  it('changes are told: within a moment where PostgreSQL is heard past the pool, within the next second where not', async () => {
    for (const [server, mostMs] of [
      [other, 700],
      [one, 2500],
    ] as const) {
      const watching = await followLive(server.address)
      await setTimeout(50)
      const began = performance.now()
      await send(server === one ? other : one, 'POST', '/api/covers', coverBody({ name: 'Seen' }))
      await watching.hear(isCover)
      expect(performance.now() - began).to.be.below(mostMs)
      watching.leave()
    }
  })
})

describe('with a replica for reads that may be a moment old', function () {
  this.timeout(180_000)
  let database: TestDatabase
  let replica: Replica
  let server: Server
  before(async () => {
    database = await startTestDatabase()
    const first = await serve({ databaseUrl: database.cluster.url, port: 0, log: quietLog })
    await first.close()
    replica = await startReplica(database.cluster.url)
    server = await serve({ databaseUrl: database.cluster.url, readUrl: replica.url, port: 0, log: quietLog })
  })
  after(async () => {
    await server.close()
    await replica.stop()
    await database.remove()
  })
  const onReplica = async (statement: string) => {
    const { sequelize, close } = await connect(replica.url)
    await sequelize.query(statement)
    await close()
  }
  const inArchive = async (query = '') => {
    const answer = await fetch(`${server.address}/api/archive${query}`)
    const files = unzipSync(new Uint8Array(await answer.arrayBuffer()))
    return Object.keys(files).filter(name => name.startsWith('covers/')).length
  }

  it('what somebody made is there at once wherever they look, and a whole workshop is taken out of the replica', async () => {
    await onReplica('SELECT pg_wal_replay_pause()')
    const made = await send(server, 'POST', '/api/covers', coverBody({ name: 'Just now' }))
    const { id } = (await made.json()) as { id: string }
    expect((await fetch(`${server.address}/api/covers/${id}`)).status).to.equal(200)
    const listed = (await (await fetch(`${server.address}/api/covers`)).json()) as { items: object[] }
    expect(listed.items).to.have.length(1)
    expect(await inArchive(`?cover=${id}`)).to.equal(1)
    expect(await inArchive()).to.equal(0)
    await onReplica('SELECT pg_wal_replay_resume()')
    for (let tries = 0; tries < 100 && (await inArchive()) === 0; tries++) await setTimeout(50)
    expect(await inArchive()).to.equal(1)
  })

  it('a table of the things is taken out of it, too', async () => {
    const table = await fetch(`${server.address}/api/things.csv`)
    expect([table.status, table.headers.get('Content-Type')]).to.deep.equal([200, 'text/csv; charset=utf-8'])
  })

  it('work goes on where the replica is away, and only what is taken out of it waits', async () => {
    await replica.stop()
    expect((await send(server, 'POST', '/api/covers', coverBody())).status).to.equal(201)
    expect((await fetch(`${server.address}/api/ready`)).status).to.equal(200)
    const refused = await fetch(`${server.address}/api/archive`)
    expect(refused.status).to.equal(503)
    // nothing was to be saved: there is nothing to say of that
    expect(((await refused.json()) as { detail: string }).detail).to.equal(
      'The database does not answer. Try again in a moment.',
    )
  })
})
