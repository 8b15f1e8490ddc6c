import { expect } from 'chai'
import { randomUUID } from 'node:crypto'
import { request } from 'node:https'
import { BlockList } from 'node:net'
import { findFreePort } from './cluster/free-port.js'
import { serve, type Server } from './serve.js'
import { coverBody } from './testing/bodies.js'
import { createCertificate } from './testing/certificate.js'
import { followLive, type Following, type HeardEvent } from './testing/follow-live.js'
import { quietLog, startTestDatabase, type TestDatabase } from './testing/test-database.js'

const trusted = new BlockList()
trusted.addAddress('127.0.0.1')

describe('looking on, over the network', function () {
  this.timeout(120_000)
  let database: TestDatabase
  /** Two processes’ worth of servers over one database. */
  let one: Server
  let other: Server
  let sharePort = 0
  const following: Following[] = []
  before(async () => {
    database = await startTestDatabase()
    sharePort = await findFreePort()
    const options = { databaseUrl: database.cluster.url, port: 0, log: quietLog }
    one = await serve(options)
    other = await serve({ ...options, share: { port: sharePort, proxies: trusted } })
    await other.letOthersIn()
  })
  after(async () => {
    for (const { leave } of following) leave()
    await Promise.all([one, other].map(({ close }) => close()))
    await database.remove()
  })

  const follow = async (address: string, headers?: Readonly<Record<string, string>>) => {
    const begun = await followLive(address, headers)
    following.push(begun)
    return begun
  }
  const outside = () => `http://127.0.0.1:${sharePort}`
  const isChange = (kind: string, id?: string) => (heard: HeardEvent) => {
    const data = heard.data as { kind: string; id: string | null } | null
    return heard.event === 'change' && data?.kind === kind && (id === undefined || data.id === id)
  }
  const send = async (server: Server, method: string, path: string, body?: unknown, version = 0) => {
    const answer = await fetch(server.address + path, {
      method,
      headers: {
        'Content-Type': 'application/json',
        ...(version === 0 ? { 'If-None-Match': '*' } : { 'If-Match': `"v${version}"` }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    })
    return { status: answer.status, row: (await answer.json()) as { version: number } }
  }
  const pair = async (name: string, address = '10.0.0.7', code?: string) => {
    const known = code ?? (await other.repositories.devices.openCode(other.workshop)).code
    return fetch(`${outside()}/api/pair`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-Forwarded-For': address },
      body: JSON.stringify({ code: known, name }),
    })
  }
  const cookieOf = (answer: Response) => /^[^;]+/.exec(answer.headers.get('Set-Cookie') ?? '')?.[0] ?? ''

  it('one hears from one server what was written through another', async () => {
    const watching = await follow(one.address)
    const id = randomUUID()
    await send(other, 'PUT', `/api/covers/${id}`, coverBody({ name: 'Hut ledger' }))
    const made = await watching.hear(isChange('cover', id))
    expect(made.data).to.deep.equal({ kind: 'cover', id, version: 1 })
    await send(other, 'PUT', `/api/covers/${id}`, coverBody({ name: 'Hut ledger 2' }), 1)
    await send(other, 'DELETE', `/api/covers/${id}`, undefined, 2)
    await watching.hear(({ data }) => (data as { version?: number } | null)?.version === 3)
    const versions = watching.heard().filter(isChange('cover', id))
    expect(versions.map(({ data }) => (data as { version: number }).version)).to.deep.equal([1, 2, 3])
  })

  it('one hears how far somebody has come at the table, and of everything else of a workshop', async () => {
    const watching = await follow(one.address)
    const id = randomUUID()
    await send(other, 'PUT', `/api/makings/${id}`, {
      progress: { steps: {}, waits: {}, made: {}, schools: {} },
    })
    await watching.hear(isChange('making', id))
    const settings = (await (await fetch(`${one.address}/api/settings`)).json()) as { version: number }
    const { version, ...body } = settings
    await send(other, 'PUT', '/api/settings', { ...body, unit: 'cm' }, version)
    await watching.hear(isChange('settings'))
  })

  it('one hears nothing of what was taken back, and once of many that were written together', async () => {
    const watching = await follow(one.address)
    const { repositories, workshop } = other
    const after = randomUUID()
    let taken = ''
    await repositories
      .together(async ({ covers }) => {
        taken = (await covers.create(workshop, coverBody())).id
        throw new Error('taken back')
      })
      .catch(() => undefined)
    await repositories.covers.createAll(workshop, [coverBody(), coverBody(), coverBody()])
    const ofMany = (heard: HeardEvent) =>
      isChange('cover')(heard) && (heard.data as { id: string | null }).id === null
    expect((await watching.hear(ofMany)).data).to.deep.equal({ kind: 'cover', id: null, version: 1 })
    await send(other, 'PUT', `/api/covers/${after}`, coverBody())
    await watching.hear(isChange('cover', after))
    expect(watching.heard().filter(ofMany)).to.have.lengthOf(1)
    expect(taken).not.to.equal('')
    expect(watching.heard().filter(isChange('cover', taken))).to.deep.equal([])
  })

  it('one who was away hears what came meanwhile', async () => {
    const first = await follow(one.address)
    const [known, missed] = [randomUUID(), randomUUID()]
    await send(other, 'PUT', `/api/covers/${known}`, coverBody())
    const { id = '' } = await first.hear(isChange('cover', known))
    first.leave()
    await send(other, 'PUT', `/api/covers/${missed}`, coverBody())
    const again = await follow(one.address, { 'Last-Event-ID': id })
    await again.hear(isChange('cover', missed))
    expect(again.heard().filter(isChange('cover', known))).to.deep.equal([])
  })

  it('one hears all the same what happened while the way to the database was cut', async () => {
    const watching = await follow(one.address)
    await one.database.sequelize.query(
      `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE query = 'LISTEN changes' OR query LIKE '%FROM changes%' AND pid <> pg_backend_pid()`,
    )
    const ids = [randomUUID(), randomUUID()]
    for (const id of ids) await send(other, 'PUT', `/api/covers/${id}`, coverBody())
    for (const id of ids) await watching.hear(isChange('cover', id))
  })

  it('one hears what a process wrote that died before it could say so', async () => {
    const watching = await follow(one.address)
    // without a word to anybody
    const { id } = await other.repositories.covers.create(other.workshop, coverBody())
    await watching.hear(isChange('cover', id))
  })

  it('one hears from another process what came since the last from this', async () => {
    const first = await follow(one.address)
    const [known, missed] = [randomUUID(), randomUUID()]
    await send(one, 'PUT', `/api/covers/${known}`, coverBody())
    const { id = '' } = await first.hear(isChange('cover', known))
    first.leave()
    await send(one, 'PUT', `/api/covers/${missed}`, coverBody())
    const again = await follow(other.address, { 'Last-Event-ID': id })
    await again.hear(isChange('cover', missed))
    expect(again.heard().filter(({ event }) => event === 'missed')).to.deep.equal([])
  })

  it('a device looks on until it is sent away', async () => {
    const answer = await pair('Phone')
    expect(answer.status).to.equal(201)
    const { device } = (await answer.json()) as { device: { id: string } }
    const watching = await follow(outside(), { Cookie: cookieOf(answer) })
    const id = randomUUID()
    await send(one, 'PUT', `/api/covers/${id}`, coverBody())
    await watching.hear(isChange('cover', id))
    expect((await send(one, 'DELETE', `/api/devices/${device.id}`)).status).to.equal(200)
    await watching.ended
  })

  it('whoever guesses codes has to wait, and nobody else', async () => {
    const { code } = await other.repositories.devices.openCode(other.workshop)
    const wrong = code === 'AAAAAAAA' ? 'BBBBBBBB' : 'AAAAAAAA'
    for (let tried = 0; tried < 10; tried++)
      expect((await pair('Guesser', '10.6.6.6', wrong)).status).to.equal(403)
    const refused = await pair('Guesser', '10.6.6.6', code)
    expect(refused.status).to.equal(429)
    expect(Number(refused.headers.get('Retry-After'))).to.be.within(500, 600)
    expect(((await refused.json()) as { detail: string }).detail).to.equal(
      'That was tried too often. Wait 10 minutes, then try again.',
    )
    // what a guesser says of itself in front of what the proxy adds does not help
    expect((await pair('Guesser', '10.0.0.8, 10.6.6.6', code)).status).to.equal(429)
    expect((await pair('Maker', '10.0.0.8', code)).status).to.equal(201)
  })

  it('the way in is shut again, to those who came by it, too', async () => {
    const answer = await pair('Tablet')
    const watching = await follow(outside(), { Cookie: cookieOf(answer) })
    await other.repositories.devices.setShared(other.workshop, false)
    await watching.ended
    expect(await fetch(`${outside()}/api/health`).catch(() => 'shut')).to.equal('shut')
    expect(other.sharing.state()).to.deep.equal({ isOn: false, addresses: [], isSealed: false })
    await other.letOthersIn()
    expect(
      (await fetch(`${outside()}/api/settings`, { headers: { Cookie: cookieOf(answer) } })).status,
    ).to.equal(200)
  })

  it('with a certificate of one’s own nothing goes over the network in the open', async () => {
    const certificate = await createCertificate()
    const port = await findFreePort()
    const sealed = await serve({
      databaseUrl: database.cluster.url,
      port: 0,
      log: quietLog,
      share: { port, certificate },
    })
    await sealed.letOthersIn()
    expect(sealed.sharing.state()).to.have.property('isSealed', true)
    for (const address of sealed.sharing.state().addresses) expect(address).to.match(/^https:/)
    const { code } = await sealed.repositories.devices.openCode(sealed.workshop)
    const answer = await new Promise<{ status: number | undefined; cookie: string }>((resolve, reject) => {
      const call = request(
        `https://127.0.0.1:${port}/api/pair`,
        { method: 'POST', ca: certificate.cert, headers: { 'Content-Type': 'application/json' } },
        ({ statusCode, headers }) =>
          resolve({ status: statusCode, cookie: headers['set-cookie']?.[0] ?? '' }),
      )
      call.once('error', reject)
      call.end(JSON.stringify({ code, name: 'Phone' }))
    })
    expect(answer.status).to.equal(201)
    expect(answer.cookie).to.match(
      /^__Host-snowdrift=[^;]+; Max-Age=\d+; Path=\/; HttpOnly; Secure; SameSite=Strict$/,
    )
    expect(await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => 'none')).to.equal('none')
    await sealed.close()
  })

  it('a server that stops keeps nobody waiting who looks on', async () => {
    const third = await serve({ databaseUrl: database.cluster.url, port: 0, log: quietLog })
    const watching = await follow(third.address)
    await third.close()
    await watching.ended
    expect(await fetch(third.address).catch(() => 'gone')).to.equal('gone')
  })
})
