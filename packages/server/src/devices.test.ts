import { codeLetters, formatPairingCode, keptForHeader, parsePairingCode } from '@snowdrift/core'
import { expect } from 'chai'
import { QueryTypes } from 'sequelize'
import { coverBody } from './testing/bodies.js'
import { useTestApp, type Answer, type RequestOptions, type TestApp } from './testing/test-database.js'

const names = new Set(['192.168.1.5', 'hut.local'])
const host = { Host: '192.168.1.5:4181' }

describe('devices that a workshop lets in', function () {
  this.timeout(120_000)
  /** The same database and workshops, by the door at the machine and by the one for others. */
  const inside = useTestApp()
  const outside = useTestApp({ door: { lets: 'devices', isOwnName: name => names.has(name) } })

  const ask = (method: string, path: string, { headers, ...options }: RequestOptions = {}) =>
    outside().request(method, path, { headers: { ...host, ...headers }, ...options })
  const cookieOf = ({ headers }: Answer) => /^[^;]+/.exec(headers.get('Set-Cookie') ?? '')?.[0] ?? ''
  const openCode = async ({ repositories, ours }: TestApp = outside()) => repositories.devices.openCode(ours)
  const pair = async (name = 'Phone') => {
    const { code } = await openCode()
    const answer = await ask('POST', '/api/pair', { body: { code, name } })
    const { device } = answer.body as unknown as { device: { id: string; name: string } }
    return { answer, device, cookie: cookieOf(answer) }
  }
  const as = (cookie: string) => ({ headers: { Cookie: cookie } })

  it('come in with a code, once, and see the workshop that let them in', async () => {
    const { repositories, ours, theirs } = outside()
    await repositories.covers.createAll(ours, [coverBody({ name: 'Hut ledger' })])
    await repositories.covers.createAll(theirs, [coverBody({ name: 'Not for you' })])
    const { code } = await openCode()
    const body = { code: ` ${formatPairingCode(code).toLowerCase()} `, name: ' Tablet at the machine ' }
    const answer = await ask('POST', '/api/pair', { body })
    expect(answer.status).to.equal(201)
    expect((answer.body as unknown as { device: { name: string } }).device.name).to.equal(
      'Tablet at the machine',
    )
    expect(answer.headers.get('Set-Cookie')).to.match(
      /^snowdrift=[\w-]{43}; Max-Age=31536000; Path=\/; HttpOnly; SameSite=Strict$/,
    )
    const shelf = await ask('GET', '/api/covers', as(cookieOf(answer)))
    expect(JSON.stringify(shelf.body)).to.contain('Hut ledger').and.not.contain('Not for you')
    const again = await ask('POST', '/api/pair', { body })
    expect([again.status, again.body.detail]).to.deep.equal([
      403,
      'No device can be let in with this code. It may be mistyped, used already or too old; get a new one.',
    ])
  })

  it('get one of two that come with the same code at once', async () => {
    const { code } = await openCode()
    const answers = await Promise.all(
      ['One', 'Other', 'Third'].map(name => ask('POST', '/api/pair', { body: { code, name } })),
    )
    expect(answers.map(({ status }) => status).sort()).to.deep.equal([201, 403, 403])
  })

  it('come in by the last code only, and not once it is too old', async () => {
    const { database } = outside()
    const first = await openCode()
    const last = await openCode()
    expect((await ask('POST', '/api/pair', { body: { code: first.code, name: 'Early' } })).status).to.equal(
      403,
    )
    await database.sequelize.query(`UPDATE pairing_codes SET expires_at = now() - interval '1 second'`)
    expect((await ask('POST', '/api/pair', { body: { code: last.code, name: 'Late' } })).status).to.equal(403)
  })

  it('have codes of eight letters and digits that nobody mistakes, and of which nothing is kept but a hash', async () => {
    const { code, expiresAt } = await openCode()
    expect(code).to.match(new RegExp(`^[${codeLetters}]{8}$`))
    expect(codeLetters).not.to.match(/[01ILO]/)
    expect(parsePairingCode(formatPairingCode(code).toLowerCase())).to.equal(code)
    expect(Date.parse(expiresAt) - Date.now()).to.be.within(9 * 60_000, 10 * 60_000)
    const { cookie } = await pair()
    const kept = await Promise.all(
      ['pairing_codes', 'devices'].map(table =>
        outside().database.sequelize.query(`SELECT * FROM ${table}`, { type: QueryTypes.SELECT }),
      ),
    )
    expect(JSON.stringify(kept)).not.to.contain(code).and.not.to.contain(cookie.slice('snowdrift='.length))
  })

  it('are refused what is no code and no name, with its place', async () => {
    const { code } = await openCode()
    const refused = async (body: unknown) => {
      const answer = await ask('POST', '/api/pair', { body })
      return [answer.status, answer.body.issues.map(({ path }) => path).join()]
    }
    expect(await refused({ code: 'ABCD', name: 'Phone' })).to.deep.equal([422, 'code'])
    expect(await refused({ code: '0000-0000', name: 'Phone' })).to.deep.equal([422, 'code'])
    expect(await refused({ code, name: ' ' })).to.deep.equal([422, 'name'])
    expect(await refused({ code, name: 'x'.repeat(61) })).to.deep.equal([422, 'name'])
    for (const unseen of ['Ph\u202Eone', 'Ph\u200Bone', 'Ph\u0000one', 'Phone\u2066'])
      expect(await refused({ code, name: unseen }), JSON.stringify(unseen)).to.deep.equal([422, 'name'])
    expect(await refused({ code, name: 'Phone', workshop: outside().theirs })).to.deep.equal([
      422,
      'workshop',
    ])
    expect(
      (await ask('POST', '/api/pair', { body: { code, name: 'Téléphone d’Élodie 📱' } })).status,
    ).to.equal(201)
  })

  it('stay outside without a token, whatever they ask for', async () => {
    const paths = ['/api/covers', '/api/settings', '/api/live', '/api/devices', '/api/here', '/api/archive']
    const cookies = [
      '',
      'snowdrift=',
      'snowdrift=x',
      `snowdrift=${'A'.repeat(43)}`,
      `other=${'A'.repeat(43)}`,
    ]
    for (const path of paths)
      for (const cookie of cookies)
        expect((await ask('GET', path, as(cookie))).status, `${path} ${cookie}`).to.equal(401)
    for (const [method, path] of [
      ['POST', '/api/covers'],
      ['POST', '/api/devices/code'],
      ['PUT', '/api/devices/sharing'],
      ['DELETE', '/api/devices/0b0b0b0b-0b0b-4b0b-8b0b-0b0b0b0b0b0b'],
    ] as const)
      expect((await ask(method, path, { body: {} })).status, `${method} ${path}`).to.equal(401)
    expect((await ask('GET', '/api/health')).status).to.equal(200)
  })

  it('stay outside once they are sent away, and leave of themselves', async () => {
    const { repositories, ours } = outside()
    const phone = await pair()
    const tablet = await pair('Tablet')
    expect((await ask('GET', '/api/settings', as(phone.cookie))).status).to.equal(200)
    expect(await repositories.devices.revoke(ours, phone.device.id)).to.equal(true)
    expect((await ask('GET', '/api/settings', as(phone.cookie))).status).to.equal(401)
    const left = await ask('DELETE', `/api/devices/${tablet.device.id}`, as(tablet.cookie))
    expect([left.status, left.headers.get('Set-Cookie')?.includes('Max-Age=0')]).to.deep.equal([200, true])
    expect((await ask('GET', '/api/settings', as(tablet.cookie))).status).to.equal(401)
    expect((await repositories.devices.list(ours)).map(({ id }) => id)).not.to.include.members([
      phone.device.id,
      tablet.device.id,
    ])
  })

  it('are forgotten when they have not come for more than a year', async () => {
    const { device, cookie } = await pair('In a drawer')
    const age = (days: number) =>
      outside().database.sequelize.query(
        `UPDATE devices SET seen_at = now() - interval '${days} days' WHERE id = '${device.id}'`,
      )
    await age(399)
    expect((await ask('GET', '/api/settings', as(cookie))).status).to.equal(200)
    await age(401)
    expect((await ask('GET', '/api/settings', as(cookie))).status).to.equal(401)
  })

  it('may keep rows for those whose they are, and nothing else', async () => {
    const { cookie } = await pair()
    const keptFor = async (path: string) =>
      (await ask('GET', path, as(cookie))).headers.get(keptForHeader) ?? 'nobody'
    const { ours } = outside()
    for (const path of [
      '/api/covers',
      '/api/settings',
      '/api/shelf',
      '/api/stash/pieces',
      '/api/progress/none',
    ])
      expect(await keptFor(path), path).to.equal(ours)
    for (const path of [
      '/api/here',
      '/api/archive',
      '/api/stash.csv',
      '/api/shares?cover=none',
      '/api/health',
    ])
      expect(await keptFor(path), path).to.equal('nobody')
    expect((await ask('GET', '/api/covers')).headers.get(keptForHeader)).to.equal(null)
    const written = await ask('POST', '/api/covers', { ...as(cookie), body: coverBody() })
    expect([written.status, written.headers.get(keptForHeader)]).to.deep.equal([201, null])
  })

  it('let nobody in themselves, send none away, and do not open or shut the way', async () => {
    const phone = await pair()
    const other = await pair('Other')
    const here = await ask('GET', '/api/here', as(phone.cookie))
    expect((here.body as unknown as { device: { id: string } }).device.id).to.equal(phone.device.id)
    expect((await ask('GET', '/api/devices', as(phone.cookie))).status).to.equal(403)
    const tries = [
      ['POST', '/api/devices/code', 403],
      ['PUT', '/api/devices/sharing', 403],
      ['DELETE', `/api/devices/${other.device.id}`, 404],
    ] as const
    for (const [method, path, status] of tries)
      expect((await ask(method, path, { ...as(phone.cookie), body: { isOn: false } })).status, path).to.equal(
        status,
      )
    expect((await ask('GET', '/api/settings', as(other.cookie))).status).to.equal(200)
  })

  it('are seen, let in and sent away at the machine itself', async () => {
    const { request, ours, theirs, repositories } = inside()
    expect((await request('GET', '/api/here')).body).to.deep.equal({
      device: null,
      person: null,
      account: ours,
    })
    expect((await request('POST', '/api/devices/code')).body.detail).to.equal(
      'Other devices cannot reach Snowdrift yet. Let them first.',
    )
    expect((await request('PUT', '/api/devices/sharing', { body: { isOn: 'yes' } })).status).to.equal(422)
    const on = await request('PUT', '/api/devices/sharing', { body: { isOn: true } })
    expect(on.body).to.deep.equal({ isOn: true, addresses: ['http://192.168.1.5:4181'], isSealed: false })
    expect(await repositories.devices.isShared(ours)).to.equal(true)
    const { code } = (await request('POST', '/api/devices/code')).body as unknown as { code: string }
    const paired = await repositories.devices.pair({ code, name: 'Phone' })
    const list = async (workshop: string) => (await request('GET', '/api/devices', { workshop })).body.items
    expect((await list(ours)).map(({ id }) => id)).to.deep.equal([paired?.device.id])
    expect(await list(theirs)).to.deep.equal([])
    const path = `/api/devices/${paired?.device.id ?? ''}`
    expect((await request('DELETE', path, { workshop: theirs })).status).to.equal(404)
    expect((await request('DELETE', path)).status).to.equal(200)
    expect((await request('DELETE', path)).status).to.equal(404)
    expect((await request('DELETE', '/api/devices/of-mine')).status).to.equal(404)
  })

  it('reach the server by its own names only, and only its own pages change anything', async () => {
    const { cookie } = await pair()
    const status = async (method: string, headers: Record<string, string>) =>
      (
        await ask(method, '/api/things', {
          headers: { Cookie: cookie, ...headers },
          ...(method !== 'GET' && { body: {} }),
        })
      ).status
    expect(await status('GET', { Host: 'HUT.local:4181' })).to.equal(200)
    expect(await status('GET', { Host: 'rebound.example:4181' })).to.equal(403)
    expect(await status('GET', { Host: '192.168.1.50:4181' })).to.equal(403)
    expect(await status('POST', { Origin: 'http://192.168.1.5:4181' })).to.equal(422)
    expect(await status('POST', { Origin: 'http://192.168.1.5' })).to.equal(403)
    expect(await status('POST', { Origin: 'https://192.168.1.5:4181' })).to.equal(403)
    expect(await status('POST', { 'Sec-Fetch-Site': 'cross-site' })).to.equal(403)
  })

  it('do not come in at the machine’s own door by way of a proxy', async () => {
    for (const header of ['X-Forwarded-For', 'Forwarded', 'X-Forwarded-Host']) {
      const answer = await inside().request('GET', '/api/covers', { headers: { [header]: '10.0.0.9' } })
      expect([answer.status, answer.body.detail], header).to.deep.equal([
        403,
        'No proxy may stand before this port. Put it before the one that other devices use.',
      ])
    }
  })
})
