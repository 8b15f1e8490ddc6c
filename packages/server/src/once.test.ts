import { randomUUID } from 'node:crypto'
import { expect } from 'chai'
import { coverBody, materialBody, thingBody } from './testing/bodies.js'
import { useTestApp } from './testing/test-database.js'

describe('a write that is sent again', function () {
  this.timeout(180_000)
  const app = useTestApp()

  const keyed = (key: string, version?: number | 'new') => ({
    headers: {
      'Idempotency-Key': key,
      ...(version === 'new' && { 'If-None-Match': '*' }),
      ...(typeof version === 'number' && { 'If-Match': `"v${version}"` }),
    },
  })
  const create = async () => (await app().request('POST', '/api/covers', { body: coverBody() })).body.id
  const countOf = async (path: string, workshop = app().ours) =>
    (await app().request('GET', `${path}?limit=500`, { workshop })).body.items.length
  const named = (name: string) => coverBody({ name })

  it('is answered the same again, though the row has moved on since', async () => {
    const id = await create()
    const key = randomUUID()
    const save = () => app().request('PUT', `/api/covers/${id}`, { body: named('mine'), ...keyed(key, 1) })
    const first = await save()
    expect([first.status, first.body.version, first.headers.get('ETag')]).to.deep.equal([200, 2, '"v2"'])
    const next = { body: named('theirs'), ...keyed(randomUUID(), 2) }
    expect((await app().request('PUT', `/api/covers/${id}`, next)).status).to.equal(200)
    const again = await save()
    expect([again.status, again.body, again.headers.get('ETag')]).to.deep.equal([200, first.body, '"v2"'])
    const stands = await app().request('GET', `/api/covers/${id}`)
    expect(stands.body).to.deep.include({ version: 3, file: named('theirs').file })
  })

  it('makes one row, however many at once ask with one key', async () => {
    const before = await countOf('/api/things')
    const key = randomUUID()
    const tries = await Promise.all(
      Array.from({ length: 12 }, () =>
        app().request('POST', '/api/things', { body: thingBody, ...keyed(key) }),
      ),
    )
    expect(new Set(tries.map(({ status }) => status))).to.deep.equal(new Set([201]))
    expect(new Set(tries.map(({ body }) => body.id)).size).to.equal(1)
    expect(await countOf('/api/things')).to.equal(before + 1)
  })

  it('cuts, deletes and takes in a table once', async () => {
    const table = Buffer.from('name,role,thickness\nKeyed felt,outer,1 mm\n')
    const post = (key: string) =>
      app().requestBytes('POST', '/api/stash.csv', table, app().theirs, { 'Idempotency-Key': key })
    const key = randomUUID()
    expect([(await post(key)).status, (await post(key)).status]).to.deep.equal([201, 201])
    expect(await countOf('/api/materials', app().theirs)).to.equal(1)

    const id = await create()
    const gone = keyed(randomUUID(), 1)
    expect((await app().request('DELETE', `/api/covers/${id}`, gone)).status).to.equal(200)
    expect((await app().request('DELETE', `/api/covers/${id}`, gone)).status).to.equal(200)
    expect((await app().request('DELETE', `/api/covers/${id}`, keyed(randomUUID(), 1))).status).to.equal(404)
  })

  it('may be asked anew after a refusal: what was refused holds no key', async () => {
    const id = await create()
    const key = randomUUID()
    const save = (version: number) =>
      app().request('PUT', `/api/covers/${id}`, { body: named('later'), ...keyed(key, version) })
    expect((await save(7)).status).to.equal(412)
    expect((await save(1)).status).to.equal(200)
  })

  it('cannot stand for another write, nor be seen from another workshop', async () => {
    const id = await create()
    const key = randomUUID()
    const body = named('one')
    expect((await app().request('PUT', `/api/covers/${id}`, { body, ...keyed(key, 1) })).status).to.equal(200)
    const other = await app().request('PUT', `/api/covers/${id}`, { body: named('two'), ...keyed(key, 2) })
    expect([other.status, other.body.detail]).to.deep.equal([
      422,
      'This Idempotency-Key belongs to another write. Take a new one for each.',
    ])
    const theirs = { body, workshop: app().theirs, ...keyed(key, 1) }
    expect((await app().request('PUT', `/api/covers/${id}`, theirs)).status).to.equal(404)
    expect((await app().request('POST', '/api/covers', { body, ...keyed('no-uuid') })).status).to.equal(400)
  })

  it('is no conflict where it says what stands there already', async () => {
    const id = await create()
    const save = (name: string, version: number) =>
      app().request('PUT', `/api/covers/${id}`, {
        body: named(name),
        headers: { 'If-Match': `"v${version}"` },
      })
    expect((await save('same', 1)).body.version).to.equal(2)
    const equal = await save('same', 1)
    expect([equal.status, equal.body.version]).to.deep.equal([200, 2])
    expect((await save('different', 1)).status).to.equal(412)
  })

  it('leaves nothing where it breaks off midway', async () => {
    const before = await countOf('/api/materials')
    const { repositories, ours } = app()
    const broken = await repositories
      .together(async ({ materials, stash }) => {
        const [row] = await materials.createAll(ours, [materialBody, materialBody])
        const piece = {
          source: 'remnant',
          width: '1',
          length: '2',
          count: 1,
          note: '',
          avoid: [],
          marks: [],
        } as const
        await stash.addAll(ours, [{ materialId: row?.id ?? '', pieces: [piece] }])
        throw new Error('killed')
      })
      .catch((error: unknown) => String(error))
    expect(broken).to.contain('killed')
    expect(await countOf('/api/materials')).to.equal(before)
    expect((await app().request('GET', '/api/stash/pieces')).body.items).to.deep.equal([])
  })

  it('is forgotten after two days, and not before', async () => {
    const id = await create()
    const key = randomUUID()
    const save = () => app().request('PUT', `/api/covers/${id}`, { body: named('kept'), ...keyed(key, 1) })
    await save()
    await app().repositories.answers.forgetBefore(new Date(Date.now() - 48 * 3_600_000))
    expect((await save()).status).to.equal(200)
    expect(await app().repositories.answers.forgetBefore(new Date(Date.now() + 1000))).to.be.greaterThan(0)
    const body = named('changed since')
    await app().request('PUT', `/api/covers/${id}`, { body, ...keyed(randomUUID(), 2) })
    expect((await save()).status).to.equal(412)
  })

  describe('for a row that its writer names', () => {
    const plan = (coverId: string, cuts = 'scissors') => ({
      plan: { coverIds: [coverId], cuts, sources: {}, pins: [], done: [] },
    })
    const put = (id: string, body: object, workshop = app().ours) =>
      app().request('PUT', `/api/cuttings/${id}`, { body, workshop, headers: { 'If-None-Match': '*' } })

    it('makes it once; a second maker of it is told what stands there', async () => {
      const id = await create()
      const [one, other] = await Promise.all([put(id, plan(id)), put(id, plan(id))])
      expect([one.status, other.status, one.body.version]).to.deep.equal([200, 200, 1])
      const late = await put(id, plan(id, 'rotary'))
      expect([late.status, (late.body as unknown as { current: { id: string } }).current.id]).to.deep.equal([
        412,
        id,
      ])
    })

    it('gives nothing away of a row in another workshop', async () => {
      const id = await create()
      await put(id, plan(id))
      const theirs = await put(id, plan(id, 'rotary'), app().theirs)
      expect([theirs.status, JSON.stringify(theirs.body)]).to.satisfy(
        ([status, text]: [number, string]) => status === 404 && !text.includes('coverIds'),
      )
    })

    it('leaves a line of history for a material, and its price and picture as they should be', async () => {
      const id = randomUUID()
      const made = await app().request('PUT', `/api/materials/${id}`, {
        body: materialBody,
        headers: { 'If-None-Match': '*' },
      })
      expect(made.body).to.deep.include({ id, version: 1, picture: 0, stock: {} })
      const history = await app().request('GET', `/api/materials/${id}/history`)
      expect(history.body.items.map(item => (item as unknown as { what: string }).what)).to.deep.equal([
        'added',
      ])
    })
  })
})
