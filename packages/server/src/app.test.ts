import { randomUUID } from 'node:crypto'
import { initialSettings } from '@snowdrift/core'
import { expect } from 'chai'
import { loadDemo } from './demo/load-demo.js'
import { coverBody, materialBody, ruleBody, thingBody } from './testing/bodies.js'
import { useTestApp } from './testing/test-database.js'

describe('the server', function () {
  this.timeout(180_000)

  const app = useTestApp()

  const ifMatch = (version: number) => ({ headers: { 'If-Match': `"v${version}"` } })
  async function createCover(): Promise<string> {
    const created = await app().request('POST', '/api/covers', { body: coverBody() })
    return created.body.id
  }

  it('says that it is alive, and that it is ready', async () => {
    for (const path of ['/api/health', '/api/ready']) {
      const answer = await app().request('GET', path)
      expect([answer.status, answer.body], path).to.deep.equal([200, { status: 'ok' }])
    }
  })

  it('is migrated once', async () => {
    const { migrate } = await import('./db/migrate.js')
    expect(await migrate(app().database)).to.deep.equal([])
  })

  for (const [kind, body] of [
    ['things', thingBody],
    ['covers', coverBody()],
    ['materials', materialBody],
    ['rules', ruleBody],
    ['makings', { progress: { steps: {}, waits: {}, made: {}, schools: {} } }],
  ] as const)
    it(`creates, reads, changes, deletes and brings back ${kind}`, async () => {
      const created = await app().request('POST', `/api/${kind}`, { body })
      expect(created.status).to.equal(201)
      expect(created.headers.get('ETag')).to.equal('"v1"')
      const path = `/api/${kind}/${created.body.id}`
      expect((await app().request('GET', path)).body).to.deep.equal(created.body)
      const changed = await app().request('PUT', path, { body, ...ifMatch(1) })
      expect([changed.status, changed.body.version]).to.deep.equal([200, 2])
      expect((await app().request('DELETE', path, ifMatch(2))).status).to.equal(200)
      expect((await app().request('GET', path)).status).to.equal(404)
      expect((await app().request('POST', `${path}/restore`)).status).to.equal(200)
      expect((await app().request('GET', path)).body).to.include({ id: created.body.id })
    })

  it('keeps a cover file as it was written', async () => {
    const { file } = coverBody({ name: 'Ключ ✂ ¾', options: { flapDepth: ' 62,5 mm ' } })
    const created = await app().request('POST', '/api/covers', { body: { thingId: null, file } })
    expect(JSON.stringify(created.body.file)).to.equal(JSON.stringify(file))
  })

  it('refuses a change based on an old version and says what stands now', async () => {
    const id = await createCover()
    await app().request('PUT', `/api/covers/${id}`, { body: coverBody({ name: 'first' }), ...ifMatch(1) })
    const stale = await app().request('PUT', `/api/covers/${id}`, {
      body: coverBody({ name: 'second' }),
      ...ifMatch(1),
    })
    expect(stale.status).to.equal(412)
    expect(stale.headers.get('Content-Type')).to.equal('application/problem+json')
    expect(stale.body).to.have.nested.property('current.file.name', 'first')
    expect((await app().request('GET', `/api/covers/${id}`)).body).to.have.nested.property(
      'file.name',
      'first',
    )
  })

  it('lets one of two changes of the same version through, whichever comes first', async () => {
    const id = await createCover()
    const tries = await Promise.all(
      Array.from({ length: 8 }, (_, index) =>
        app().request('PUT', `/api/covers/${id}`, {
          body: coverBody({ name: `try ${index}` }),
          ...ifMatch(1),
        }),
      ),
    )
    expect(tries.map(({ status }) => status).sort()).to.deep.equal([200, 412, 412, 412, 412, 412, 412, 412])
  })

  it('wants to know the version a change is based on', async () => {
    const id = await createCover()
    expect((await app().request('PUT', `/api/covers/${id}`, { body: coverBody() })).status).to.equal(428)
    expect(
      (await app().request('DELETE', `/api/covers/${id}`, { headers: { 'If-Match': '*' } })).status,
    ).to.equal(428)
  })

  it('shows nothing of another workshop, and changes nothing there', async () => {
    const id = await createCover()
    const them = { workshop: app().theirs }
    expect((await app().request('GET', `/api/covers/${id}`, them)).status).to.equal(404)
    expect(
      (
        await app().request('PUT', `/api/covers/${id}`, {
          body: coverBody({ name: 'theirs' }),
          ...ifMatch(1),
          ...them,
        })
      ).status,
    ).to.equal(404)
    expect((await app().request('DELETE', `/api/covers/${id}`, { ...ifMatch(1), ...them })).status).to.equal(
      404,
    )
    expect((await app().request('POST', `/api/covers/${id}/restore`, them)).status).to.equal(404)
    expect((await app().request('GET', '/api/covers', them)).body.items).to.deep.equal([])
    expect((await app().request('GET', `/api/covers/${id}`)).body).to.include({ version: 1 })
  })

  it('lets a cover name only a thing of its own workshop', async () => {
    const theirs = await app().request('POST', '/api/things', { body: thingBody, workshop: app().theirs })
    const thingId = theirs.body.id
    const refused = await app().request('POST', '/api/covers', { body: coverBody({}, thingId) })
    expect([refused.status, refused.body.issues]).to.deep.equal([
      422,
      [{ path: 'thingId', message: 'There is no such thing on the shelf.' }],
    ])
    expect(
      (await app().request('POST', '/api/covers', { body: coverBody({}, thingId), workshop: app().theirs }))
        .status,
    ).to.equal(201)
    expect(
      (await app().request('POST', '/api/covers', { body: coverBody({}, randomUUID()) })).status,
    ).to.equal(422)
  })

  it('gives lists in pages, newest first, without a row lost or shown twice', async () => {
    const workshop = app().theirs
    for (let count = 0; count < 7; count++)
      await app().request('POST', '/api/materials', { body: materialBody, workshop })
    const seen: string[] = []
    let path = '/api/materials?limit=3'
    for (let pages = 0; path && pages < 5; pages++) {
      const { body } = await app().request('GET', path, { workshop })
      seen.push(...body.items.map(({ id }) => id))
      path = body.next === null ? '' : `/api/materials?limit=3&after=${body.next}`
    }
    expect(seen).to.have.length(7)
    expect(new Set(seen).size).to.equal(7)
    for (const query of ['limit=0', 'limit=501', 'limit=x', 'after=x', 'page=2'])
      expect((await app().request('GET', `/api/materials?${query}`)).status, query).to.equal(400)
  })

  it('gives some rows by their ids, its own only, and refuses what are no ids', async () => {
    const { covers } = app().repositories
    const [one, two] = await covers.createAll(app().ours, [coverBody(), coverBody()])
    const [theirs] = await covers.createAll(app().theirs, [coverBody()])
    if (!one || !two || !theirs) throw new Error('Nothing was made')
    const some = (ids: string) => app().request('GET', `/api/covers?ids=${ids}`)
    const { status, body } = await some([one.id, theirs.id, two.id, randomUUID()].join(','))
    expect(status).to.equal(200)
    expect(body).to.deep.equal({ items: [two, one], next: null })
    const many = Array.from({ length: 101 }, () => randomUUID()).join(',')
    for (const wrong of ['', 'x', `${one.id},x`, many, `${one.id}&limit=3`])
      expect((await some(wrong)).status, wrong.slice(0, 60)).to.equal(400)
  })

  it('gives in a list what it gives of each row, to the letter', async () => {
    const odd = 'quotes " and \\\\, a line\nand snow ☃'
    const object = {
      kind: 'notebook' as const,
      readings: { height: ['210'], width: ['148'], thickness: ['12'] },
    }
    await app().request('POST', '/api/things', { body: { ...thingBody, name: odd, object } })
    await app().request('POST', '/api/covers', { body: coverBody({ name: odd }) })
    await app().request('POST', '/api/materials', { body: { ...materialBody, stock: { price: 12.5 } } })
    const { things, covers, materials, cuttings } = app().repositories
    for (const rows of [things, covers, materials, cuttings]) {
      const page = await rows.list(app().ours, { limit: 100 })
      expect(JSON.parse(await rows.listAsJson(app().ours, { limit: 100 }))).to.deep.equal(page)
      const [first] = page.items
      if (first) expect(await rows.find(app().ours, first.id)).to.deep.equal(first)
    }
  })

  it('keeps settings with a version of their own', async () => {
    const first = await app().request('GET', '/api/settings')
    expect(first.body).to.deep.equal({ ...initialSettings(), version: 1 })
    const body = {
      ...initialSettings(),
      unit: 'cm',
      grid: '2 mm',
      tapeDivision: '1 mm',
      seam: '6 mm',
      currency: 'kr.',
    }
    expect((await app().request('PUT', '/api/settings', { body, ...ifMatch(1) })).body).to.deep.equal({
      ...body,
      version: 2,
    })
    const other = { ...body, seam: '7 mm' }
    expect((await app().request('PUT', '/api/settings', { body: other, ...ifMatch(1) })).status).to.equal(412)
    const odd = await app().request('PUT', '/api/settings', {
      body: { ...body, grid: '3 mm' },
      ...ifMatch(2),
    })
    expect([odd.status, odd.body.issues]).to.deep.equal([
      422,
      [{ path: 'grid', message: '“3 mm” is not a cutting grid. Use 1/16, 1/8 or 1/4 in, 1, 2 or 5 mm.' }],
    ])
  })

  it('gives each bad body its own answer and changes nothing', async () => {
    const before = (await app().request('GET', '/api/covers?limit=100')).body.items
    const post = (body: unknown, headers = {}) => app().request('POST', '/api/covers', { body, headers })
    expect((await post('{"file":')).status).to.equal(400)
    expect((await post('"x"')).status).to.equal(422)
    expect((await post(coverBody(), { 'Content-Type': 'text/plain' })).status).to.equal(415)
    const large = await post({ ...coverBody(), padding: 'x'.repeat(10_000_000) })
    expect([large.status, large.body.detail]).to.deep.equal([
      413,
      'The body is larger than 256 kB. Send less at once.',
    ])
    const odd = await post(coverBody({ family: 'tent', seam: ['wide'] as unknown as string }))
    expect(odd.status).to.equal(422)
    expect(odd.body.issues.map(({ path }) => path)).to.deep.equal(['file.seam'])
    expect((await post({ ...coverBody(), thingId: 'x' })).status).to.equal(422)
    expect((await post({ ...coverBody(), secret: 1 })).body.issues).to.deep.equal([
      { path: 'secret', message: '“secret” is not known here. Take it out, or check its spelling.' },
    ])
    expect(
      (await app().request('POST', '/api/things', { body: { ...thingBody, name: ' ' } })).status,
    ).to.equal(422)
    expect(
      (await app().request('POST', '/api/materials', { body: { ...materialBody, swatch: 'red' } })).status,
    ).to.equal(422)
    expect((await app().request('GET', '/api/covers/not-an-id')).status).to.equal(404)
    expect((await app().request('GET', '/api/nothing')).status).to.equal(404)
    expect((await app().request('GET', '/api/covers?limit=100')).body.items).to.deep.equal(before)
  })

  it('answers to loopback names only, and lets only its own pages change anything', async () => {
    const from = (headers: Record<string, string>, method = 'GET') =>
      app()
        .request(method, '/api/settings', { headers })
        .then(({ status }) => status)
    expect(await from({ Host: 'evil.test' })).to.equal(403)
    expect(await from({ Host: 'localhost:4180' })).to.equal(200)
    const put = { Host: '127.0.0.1:4180' }
    expect(await from({ ...put, Origin: 'http://evil.test' }, 'PUT')).to.equal(403)
    expect(await from({ ...put, 'Sec-Fetch-Site': 'cross-site' }, 'PUT')).to.equal(403)
    expect(await from({ ...put, Origin: 'http://127.0.0.1:4180' }, 'PUT')).to.equal(428)
  })

  it('sends a strict content security policy and no cache for the API', async () => {
    const { headers } = await app().request('GET', '/api/settings')
    const policy = headers.get('Content-Security-Policy') ?? ''
    expect(policy).to.contain("default-src 'none'").and.contain("script-src 'self'")
    expect(policy).not.to.contain('unsafe')
    expect(headers.get('X-Content-Type-Options')).to.equal('nosniff')
    expect(headers.get('Cache-Control')).to.equal('no-store')
  })

  it('treats what is typed as data, never as SQL', async () => {
    const name = "x'); DROP TABLE covers; --"
    const created = await app().request('POST', '/api/things', { body: { ...thingBody, name } })
    expect(created.body.name).to.equal(name)
    expect((await app().request('GET', '/api/covers')).status).to.equal(200)
  })

  it('says that nobody has begun to make a cover, and how far one has come', async () => {
    const id = crypto.randomUUID()
    const path = `/api/progress/${id}`
    expect((await app().request('GET', path)).body).to.deep.equal({ making: null })
    const body = { progress: { steps: {}, waits: {}, made: {}, schools: {} } }
    await app().request('PUT', `/api/makings/${id}`, { body, headers: { 'If-None-Match': '*' } })
    const told = await app().request('GET', path)
    expect((told.body as unknown as { making: { id: string } }).making.id).to.equal(id)
    expect((await app().request('GET', '/api/progress/none')).status).to.equal(404)
  })

  it('refuses progress that is none, and says where', async () => {
    const wrong = await app().request('POST', '/api/makings', {
      body: {
        progress: { steps: { 'cut-outer': { at: 'soon', state: 'done' } }, waits: {}, made: {}, schools: {} },
      },
    })
    expect(wrong.status).to.equal(422)
    expect(JSON.stringify(wrong.body)).to.include('cut-outer')
  })

  it('keeps no two rules of one name for a way of making, and says so', async () => {
    const named = (name: string, changes: object = {}) =>
      app().request('POST', '/api/rules', { body: { ...ruleBody, name, ...changes } })
    const first = await named('Wide rule')
    expect(first.status).to.equal(201)
    const twice = await named('wide RULE')
    expect([twice.status, twice.body.issues[0]?.path]).to.deep.equal([422, 'name'])
    expect(twice.body.issues[0]?.message).to.contain('already')
    // for another way of making, in another workshop, and once the first is gone, it is free
    expect((await named('Wide rule', { family: 'glued-wrap' })).status).to.equal(201)
    const put = await app().request('PUT', `/api/rules/${crypto.randomUUID()}`, {
      body: { ...ruleBody, name: 'Wide rule' },
      headers: { 'If-None-Match': '*' },
    })
    expect(put.status).to.equal(422)
    const theirs = await app().request('POST', '/api/rules', {
      body: { ...ruleBody, name: 'Wide rule' },
      workshop: app().theirs,
    })
    expect(theirs.status).to.equal(201)
    await app().request('DELETE', `/api/rules/${first.body.id}`, ifMatch(1))
    expect((await named('Wide rule')).status).to.equal(201)
    const back = await app().request('POST', `/api/rules/${first.body.id}/restore`)
    expect(back.status).to.equal(422)
  })

  it('takes an older cover file in the words of now', async () => {
    const { file } = coverBody()
    const older = { ...file, version: 1, family: 'turned-flap-cover', options: {}, extras: [] }
    const created = await app().request('POST', '/api/covers', { body: { thingId: null, file: older } })
    expect(created.body.file).to.include({ version: 2, upgradedFrom: 1 })
    expect(created.body.file).to.have.nested.property('sizing.easeWidth', '5 mm')
  })

  it('loads the demo once into an empty workshop, each cover with other findings', async () => {
    const { readCover, plan } = await import('@snowdrift/core')
    const { ensureWorkshop } = await import('./db/repositories/workshops.js')
    const workshop = await ensureWorkshop(app().database.models, 'demo', randomUUID)
    expect(await loadDemo(app().repositories, workshop, new Date())).to.equal(true)
    expect(await loadDemo(app().repositories, workshop, new Date())).to.equal(false)
    const { things, covers, materials } = app().repositories
    const [allThings, allCovers, allMaterials] = await Promise.all(
      [things, covers, materials].map(rows => rows.list(workshop, { limit: 100 })),
    )
    expect([allThings?.items.length, allCovers?.items.length, allMaterials?.items.length]).to.deep.equal([
      10, 12, 16,
    ])
    const planned = (await covers.list(workshop, { limit: 100 })).items.map(({ file }) => {
      const read = readCover(file)
      if (!read.ok) throw new Error(JSON.stringify(read.issues))
      return { family: file.family, codes: plan(read.value).findings.map(({ code }) => code) }
    })
    expect(new Set(planned.map(({ family }) => family)).size).to.equal(8)
    expect(planned.map(({ codes }) => codes)).to.deep.equal([
      [],
      ['grade-seam', 'clip-corners'],
      ['grade-seam', 'clip-corners'],
      ['grade-seam', 'page-not-flat'],
      ['open-only'],
      ['one-way-print'],
      [],
      ['board-assumed', 'one-way-print'],
      ['wrap-disagrees', 'readings-spread', 'will-it-go-in', 'grade-seam'],
      ['open-only', 'will-not-go'],
      ['board-assumed', 'one-way-print'],
      ['one-way-print'],
    ])
  })
})
