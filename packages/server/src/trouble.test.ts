import { randomUUID } from 'node:crypto'
import { readdir, readFile } from 'node:fs/promises'
import { Agent, request as send } from 'node:http'
import { expect } from 'chai'
import { connect } from './db/connect.js'
import type { FabricShop } from './devices/shop/shop.js'
import { databaseTrouble } from './http/database-errors.js'
import { findPostmaster } from './cluster/postmaster.js'
import { serve, type Server } from './serve.js'
import { coverBody } from './testing/bodies.js'
import {
  createTestApp,
  quietLog,
  startTestDatabase,
  type TestApp,
  type TestDatabase,
} from './testing/test-database.js'

describe('trouble', function () {
  this.timeout(180_000)
  let database: TestDatabase
  before(async () => {
    database = await startTestDatabase()
  })
  after(() => database.remove())

  describe('with the database', () => {
    let app: TestApp
    before(async () => {
      app = await createTestApp(database.cluster.url, {
        limits: { query_timeout: 700, statement_timeout: 600, connectionTimeoutMillis: 700 },
      })
    })
    after(() => app.database.close())

    it('whose connections are killed is never called our mistake, and with keys nothing is doubled or lost', async () => {
      const killer = await connect(database.cluster.url)
      const enough = AbortSignal.timeout(1500)
      const killed = (async () => {
        while (!enough.aborted)
          await killer.sequelize.query(
            'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE pid <> pg_backend_pid() AND datname IS NOT NULL',
          )
      })()
      const statuses: number[] = []
      /** As the browser does: the same again until it is answered. */
      const writeOnce = async (name: string) => {
        const headers = { 'Idempotency-Key': randomUUID() }
        for (;;) {
          const { status } = await app.request('POST', '/api/covers', { body: coverBody({ name }), headers })
          statuses.push(status)
          if (status === 201) return
        }
      }
      const names = Array.from({ length: 40 }, (_, n) => `Cover ${n}`)
      const written = Promise.all(names.map(writeOnce))
      await killed
      await killer.close()
      await written
      const { items } = (await app.request('GET', '/api/covers?limit=100')).body
      const found = items.map(item => (item as unknown as { file: { name: string } }).file.name)
      expect(found.toSorted()).to.deep.equal(names.toSorted())
      expect(new Set(statuses)).to.deep.equal(new Set([201, 503]))
    })

    it('that hangs is given up on in time, for reading and writing, and comes back by itself', async () => {
      const pids = await processesOf(database)
      for (const pid of pids) process.kill(pid, 'SIGSTOP')
      try {
        const began = performance.now()
        const answers = await Promise.all([
          app.request('GET', '/api/covers'),
          app.request('GET', '/api/settings'),
          app.request('POST', '/api/covers', { body: coverBody() }),
        ])
        expect(answers.map(({ status }) => status)).to.deep.equal([503, 503, 503])
        expect(answers.map(({ headers }) => headers.get('Retry-After'))).to.deep.equal(['1', '1', '1'])
        expect(answers[2].body.detail).to.contain('sent again with the same key, it is saved once')
        expect(performance.now() - began).to.be.below(10_000)
      } finally {
        for (const pid of pids) process.kill(pid, 'SIGCONT')
      }
      while ((await app.request('GET', '/api/covers')).status !== 200)
        await new Promise(resolve => setTimeout(resolve, 50))
    })

    it('is told from a refusal of the statement, and from our own mistakes', () => {
      const from = (code: string) => Object.assign(new Error('x'), { parent: { code, message: 'x' } })
      expect(['53100', '53200'].map(code => databaseTrouble(from(code)))).to.deep.equal(['full', 'full'])
      expect(
        ['57P01', '57P03', '53300', '57014', '40P01'].map(code => databaseTrouble(from(code))),
      ).to.satisfy((all: string[]) => all.every(trouble => trouble === 'away'))
      expect(databaseTrouble(new Error('Connection terminated unexpectedly'))).to.equal('away')
      expect(databaseTrouble(from('23505'))).to.equal(undefined)
      expect(databaseTrouble(new TypeError('x is not a function'))).to.equal(undefined)
    })
  })

  describe('with a connection', () => {
    let server: Server
    let answer: () => void = () => undefined
    let asked: () => void = () => undefined
    const isAsked = () => new Promise<void>(resolve => (asked = resolve))
    const shop: FabricShop = {
      name: 'Slow shop',
      offers: () =>
        new Promise(resolve => {
          answer = () => resolve({ kind: 'offers', offers: [] })
          asked()
        }),
    }
    beforeEach(async () => {
      server = await serve({
        databaseUrl: database.cluster.url,
        port: 0,
        log: quietLog,
        shop,
        stopWithinMs: 600,
      })
    })

    it('is none after a body that is too large: what else goes over it is answered', async () => {
      const agent = new Agent({ keepAlive: true, maxSockets: 4 })
      const ask = (path: string, body: string) =>
        new Promise<number>((resolve, reject) => {
          const headers = { 'Content-Type': 'application/json', 'Content-Length': body.length }
          const sent = send(`${server.address}${path}`, { agent, method: 'POST', headers }, response => {
            response.resume()
            response.once('end', () => resolve(response.statusCode ?? 0))
          })
          sent.once('error', reject)
          sent.end(body)
        })
      const large = 'x'.repeat(700_000)
      const small = JSON.stringify(coverBody())
      const answers = await Promise.allSettled(
        Array.from({ length: 200 }, (_, n) => ask('/api/covers', n % 2 ? large : small)),
      )
      const counts = (status: number | 'reset') =>
        answers.filter(one => (one.status === 'fulfilled' ? one.value : 'reset') === status).length
      expect([counts(413), counts(201), counts('reset')]).to.deep.equal([100, 100, 0])
      agent.destroy()
      await server.close()
    })

    it('is not cut while it waits for an answer: a server that stops finishes what it has begun', async () => {
      const begun = isAsked()
      const offers = fetch(`${server.address}/api/shop/offers?role=outer`)
      await begun
      const closed = server.close()
      const late = await fetch(`${server.address}/api/health`).then(
        () => 'answered',
        () => 'refused',
      )
      answer()
      expect([(await offers).status, late]).to.deep.equal([200, 'refused'])
      await closed
    })

    it('does not keep a server from stopping for ever', async () => {
      const begun = isAsked()
      const offers = fetch(`${server.address}/api/shop/offers?role=outer`).then(
        () => 'answered',
        () => 'cut',
      )
      await begun
      const began = performance.now()
      await server.close()
      expect(await offers).to.equal('cut')
      expect(performance.now() - began).to.be.below(3000)
    })
  })
})

/** The server of the cluster and everything that it started. */
async function processesOf({ folder }: TestDatabase): Promise<readonly number[]> {
  const { pid: postmaster } = (await findPostmaster(`${folder}/postgres`)) ?? { pid: 0 }
  const pids = (await readdir('/proc')).filter(name => /^\d+$/.test(name)).map(Number)
  const parents = await Promise.all(pids.map(pid => readFile(`/proc/${pid}/stat`, 'utf8').catch(() => '')))
  const children = pids.filter((_, index) => {
    const stat = parents[index] ?? ''
    return Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1]) === postmaster
  })
  return [postmaster, ...children]
}
