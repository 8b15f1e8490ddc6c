import { expect } from 'chai'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { BlockList } from 'node:net'
import { tmpdir } from 'node:os'
import { resolve } from 'node:path'
import { findFreePort } from './cluster/free-port.js'
import type { Hosting } from './hosting.js'
import { serve, type Server } from './serve.js'
import { coverBody } from './testing/bodies.js'
import { followLive, type Following, type HeardEvent } from './testing/follow-live.js'
import { quietLog, startTestDatabase, type TestDatabase } from './testing/test-database.js'
import { origin, passphrase } from './testing/visitor.js'

const trusted = new BlockList()
trusted.addAddress('127.0.0.1')

describe('a server that is hosted', function () {
  this.timeout(120_000)
  let database: TestDatabase
  /** Two processes’ worth of servers over one database, behind a proxy. */
  let one: Server
  let other: Server
  const ports: number[] = []
  const following: Following[] = []
  before(async () => {
    database = await startTestDatabase()
    const open = async () => {
      const port = await findFreePort()
      ports.push(port)
      return serve({
        databaseUrl: database.cluster.url,
        port,
        log: quietLog,
        hosted: { origin, isOpen: false },
        share: { port: await findFreePort(), proxies: trusted },
      })
    }
    one = await open()
    other = await open()
  })
  after(async () => {
    for (const { leave } of following) leave()
    await Promise.all([one, other].map(({ close }) => close()))
    await database.remove()
  })

  const at = (server: Server) => `http://127.0.0.1:${ports[server === one ? 0 : 1]}`
  /** What the proxy says of whoever calls. */
  const proxied = (cookie = '') => ({
    'X-Forwarded-For': '203.0.113.7',
    'X-Forwarded-Host': 'covers.example',
    'X-Forwarded-Proto': 'https',
    Cookie: cookie,
  })
  const send = (server: Server, method: string, path: string, body?: unknown, headers = proxied()) =>
    fetch(at(server) + path, {
      method,
      headers: { 'Content-Type': 'application/json', ...headers },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    })
  const cookiesOf = (answer: Response) =>
    answer.headers
      .getSetCookie()
      .map(set => set.split(';')[0] ?? '')
      .join('; ')
  const join = async (signInName: string, role: 'owner' | 'maker' = 'owner') => {
    const invited = await one.repositories.people.members.invite(one.workshop, role)
    const body = { token: invited?.token, signInName, name: signInName, device: 'Computer', passphrase }
    const answer = await send(one, 'POST', '/api/enter/join', body)
    expect(answer.status).to.equal(201)
    return cookiesOf(answer)
  }
  const enter = async (signInName: string, server = one) =>
    cookiesOf(await send(server, 'POST', '/api/enter', { signInName, passphrase, device: 'Phone' }))
  const follow = async (server: Server, cookie: string) => {
    const begun = await followLive(at(server), proxied(cookie))
    following.push(begun)
    return begun
  }
  const isChange = (kind: string) => (heard: HeardEvent) =>
    heard.event === 'change' && (heard.data as { kind: string } | null)?.kind === kind

  it('puts the secret of its file into passphrases, and refuses to start without one that can be read', async () => {
    const folder = await mkdtemp(resolve(tmpdir(), 'snowdrift-hosted-'))
    const pepperFile = resolve(folder, 'peppers')
    await writeFile(pepperFile, `${'a secret of a host '.repeat(3)}\n`, { mode: 0o600 })
    const port = await findFreePort()
    const open = async (hosted: Partial<Hosting>) =>
      serve({
        databaseUrl: database.cluster.url,
        port,
        log: quietLog,
        hosted: { origin, isOpen: false, ...hosted },
        share: { port: await findFreePort(), proxies: trusted },
      })
    const strict = await open({ pepperFile, isStrict: true })
    const { members, persons } = strict.repositories.people
    const invited = await members.invite(strict.workshop, 'maker')
    const body = { token: invited?.token, signInName: 'peppered', name: 'P', device: 'Computer', passphrase }
    const joined = await fetch(`http://127.0.0.1:${port}/api/enter/join`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', ...proxied() },
      body: JSON.stringify(body),
    })
    expect(joined.status).to.equal(201)
    expect((await persons.findBySignInName('peppered'))?.passphraseHash).to.match(/^[0-9a-f]{12}\$argon2id\$/)
    // the others, which were not given the secret, let nobody in by it
    const entering = { signInName: 'peppered', passphrase, device: 'Phone' }
    expect((await send(one, 'POST', '/api/enter', entering)).status).to.equal(403)
    await strict.close()
    const refused = await open({ pepperFile: resolve(folder, 'nowhere') }).catch((error: unknown) =>
      String(error),
    )
    expect(refused).to.include('SNOWDRIFT_PEPPER_FILE cannot be read')
    await rm(folder, { recursive: true })
  })

  it('answers at its own address only, but says to anybody that it lives', async () => {
    const direct = await fetch(`${at(one)}/api/here`)
    expect([direct.status, ((await direct.json()) as { detail: string }).detail]).to.deep.equal([
      403,
      'This server is reached at https://covers.example.',
    ])
    const plain = await send(one, 'GET', '/api/here', undefined, {
      ...proxied(),
      'X-Forwarded-Proto': 'http',
    })
    expect(plain.status).to.equal(403)
    const elsewhere = { ...proxied(), 'X-Forwarded-Host': 'covers.example.evil.test' }
    expect((await send(one, 'GET', '/api/here', undefined, elsewhere)).status).to.equal(403)
    expect((await send(one, 'GET', '/api/here')).status).to.equal(401)
    for (const path of ['/api/health', '/api/ready'])
      expect((await fetch(at(one) + path)).status).to.equal(200)
  })

  it('lets no other page change anything, and seals what it says', async () => {
    const cookie = await join('first')
    for (const from of [
      { Origin: 'https://evil.test' },
      { 'Sec-Fetch-Site': 'cross-site' },
      { Origin: 'null' },
    ]) {
      const answer = await send(one, 'POST', '/api/covers', coverBody(), { ...proxied(cookie), ...from })
      expect(answer.status).to.equal(403)
    }
    const own = { ...proxied(cookie), Origin: origin, 'Sec-Fetch-Site': 'same-origin' }
    const answer = await send(one, 'POST', '/api/covers', coverBody(), own)
    expect(answer.status).to.equal(201)
    expect(answer.headers.get('Strict-Transport-Security')).to.equal('max-age=31536000')
    expect(answer.headers.get('Cross-Origin-Opener-Policy')).to.equal('same-origin')
    expect(answer.headers.get('Cache-Control')).to.equal('no-store')
  })

  it('knows no devices that are paired, and nobody who sits at the machine', async () => {
    const cookie = await enter('first')
    const { code } = await one.repositories.devices.openCode(one.workshop)
    expect((await send(one, 'POST', '/api/pair', { code, name: 'Phone' }, proxied(cookie))).status).to.equal(
      404,
    )
    const paired = await one.repositories.devices.pair({ code, name: 'Phone' })
    const byDevice = proxied(`__Host-snowdrift=${paired?.token ?? ''}`)
    expect((await send(one, 'GET', '/api/covers', undefined, byDevice)).status).to.equal(401)
    for (const [method, path] of [
      ['GET', '/api/devices'],
      ['POST', '/api/devices/code'],
      ['PUT', '/api/devices/sharing'],
    ] as const)
      expect(
        (await send(one, method, path, method === 'GET' ? undefined : {}, proxied(cookie))).status,
      ).to.equal(403)
    await one.repositories.devices.setShared(one.workshop, true)
    await new Promise(resolve => setTimeout(resolve, 1500))
    expect(one.sharing.state().isOn).to.equal(false)
    await one.repositories.devices.setShared(one.workshop, false)
  })

  it('is one server in all its processes: signed in at one, signed out at another', async () => {
    const cookie = await enter('first', one)
    expect((await send(other, 'GET', '/api/covers', undefined, proxied(cookie))).status).to.equal(200)
    const out = await send(other, 'DELETE', '/api/account/sessions', undefined, proxied(cookie))
    expect(out.status).to.equal(200)
    expect((await send(one, 'GET', '/api/covers', undefined, proxied(cookie))).status).to.equal(401)
  })

  it('counts tries in all its processes together', async () => {
    await join('counted')
    const guess = (server: Server) =>
      send(
        server,
        'POST',
        '/api/enter',
        { signInName: 'counted', passphrase: 'a guess at it', device: 'Phone' },
        {
          ...proxied(),
          'X-Forwarded-For': '203.0.113.99',
        },
      )
    for (let round = 0; round < 5; round++)
      for (const server of [one, other]) expect((await guess(server)).status).to.equal(403)
    expect((await guess(one)).status).to.equal(429)
    expect((await guess(other)).status).to.equal(429)
  })

  it('tells whoever looks on what the others change, and ends at once for whoever is signed out', async () => {
    const watching = await enter('first', other)
    const stream = await follow(other, watching)
    const working = await enter('first', one)
    await send(one, 'POST', '/api/covers', coverBody(), proxied(working))
    await stream.hear(isChange('cover'))
    const began = performance.now()
    await send(one, 'DELETE', '/api/account/sessions', undefined, proxied(working))
    await stream.ended
    expect(performance.now() - began).to.be.below(5000)
  })

  it('ends for whoever is sent away from the workshop, and says to the others who belongs to it', async () => {
    const owner = await enter('first')
    const maker = await join('sent', 'maker')
    const [ofOwner, ofMaker] = [await follow(one, owner), await follow(other, maker)]
    const person = await one.repositories.people.persons.findBySignInName('sent')
    expect(
      (await send(one, 'DELETE', `/api/people/${person?.id ?? ''}`, undefined, proxied(owner))).status,
    ).to.equal(200)
    await ofMaker.ended
    await ofOwner.hear(isChange('people'))
    expect((await send(one, 'GET', '/api/live', undefined, proxied(maker))).status).to.equal(403)
  })

  it('forgets what nobody can come back to', async () => {
    await enter('first')
    const { sequelize } = one.database
    await sequelize.query(`UPDATE sessions SET seen_at = now() - interval '15 days'`)
    await sequelize.query(`UPDATE audit SET at = now() - interval '401 days'`)
    await one.repositories.people.sessions.forgetOld()
    await one.repositories.people.audit.forgetOld()
    const left = async (table: string) => (await sequelize.query(`SELECT 1 FROM ${table}`))[0].length
    expect([await left('sessions'), await left('audit')]).to.deep.equal([0, 0])
  })
})
