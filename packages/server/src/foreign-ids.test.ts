import { expect } from 'chai'
import { randomUUID } from 'node:crypto'
import { QueryTypes } from 'sequelize'
import sharp from 'sharp'
import { loadDemo } from './demo/load-demo.js'
import { coverBody, materialBody, ruleBody, thingBody } from './testing/bodies.js'
import { useTestApp } from './testing/test-database.js'

const writing = ['POST', 'PUT', 'DELETE']

describe('another workshop’s rows', function () {
  this.timeout(300_000)
  const app = useTestApp()
  /** One id of each kind of row that they have. */
  let foreign: Readonly<Record<string, string>> = {}
  let all: readonly string[] = []

  before(async () => {
    const { repositories, theirs, request, requestBytes } = app()
    await loadDemo(repositories, theirs, new Date())
    const idIn = async (table: string) => (await rowsOf(table))[0]?.id ?? ''
    const [cover, material, make] = await Promise.all([idIn('covers'), idIn('materials'), idIn('makes')])
    const picture = await sharp({ create: { width: 40, height: 40, channels: 3, background: '#357' } })
      .png()
      .toBuffer()
    await requestBytes('PUT', `/api/materials/${material}/picture`, picture, theirs)
    const photo = randomUUID()
    await requestBytes('PUT', `/api/makes/${make}/photos/${photo}`, picture, theirs)
    const asked = { kind: 'measure', coverId: cover, thing: 0, days: 7 }
    const shared = await request('POST', '/api/shares', { body: asked, workshop: theirs })
    const { code } = await repositories.devices.openCode(theirs)
    const paired = await repositories.devices.pair({ code, name: 'Their phone' })
    const making = { progress: { steps: {}, waits: {}, made: {}, schools: {} } }
    await request('PUT', `/api/makings/${cover}`, {
      body: making,
      workshop: theirs,
      headers: { 'If-None-Match': '*' },
    })
    const plan = { coverIds: [cover], cuts: 'rotary', sources: {}, pins: [], done: [] }
    await request('POST', '/api/cuttings', { body: { plan }, workshop: theirs })
    await request('POST', '/api/rules', { body: ruleBody, workshop: theirs })
    foreign = {
      cover,
      material,
      make,
      photo,
      thing: await idIn('things'),
      piece: await idIn('stash_pieces'),
      cutting: await idIn('cuttings'),
      rule: await idIn('rules'),
      making: cover,
      mark: await idIn('marks'),
      share: (shared.body as unknown as { share: { id: string } }).share.id,
      device: paired?.device.id ?? '',
    }
    all = await everythingOfTheirs()
  })

  it('are of every kind that a route can name', () => {
    for (const [kind, id] of Object.entries(foreign)) expect(id, kind).to.match(/^[0-9a-f-]{36}$/)
  })

  it('are neither shown nor changed by any route, whatever id of theirs it is given', async () => {
    const { routes, request } = app()
    const asked = routes.filter(
      ({ method, path }) => method !== 'ALL' && path.startsWith('/api/') && !path.includes('*'),
    )
    expect(asked.length).to.be.above(40)
    const ids = [...new Set(Object.values(foreign))]
    let tried = 0
    // Read first: under an id of theirs one may begin something of one's own, which is shown afterwards.
    const readsFirst = asked.toSorted((one, other) => rank(one.method) - rank(other.method))
    for (const { method, path } of readsFirst) {
      // an archive is answered as long as it is; what it takes in is tried by itself
      if (path === '/api/archive' || path === '/api/live') continue
      const isWrite = writing.includes(method)
      const paths = path.includes('/:') ? ids.map(id => withIds(path, id)) : queriesOf(path)
      for (const address of paths)
        for (const [body, headers] of isWrite ? writesOf(method) : ([[undefined, {}]] as const)) {
          const answer = await request(method, address, { headers, ...(body !== undefined && { body }) })
          tried++
          expect(answer.status, `${method} ${address}`).to.be.below(500)
          const said = JSON.stringify(answer.body)
          expect(said, `${method} ${address}`).not.to.contain('Hut ledger').and.not.to.contain('Their phone')
          if (method === 'GET')
            for (const id of ids.filter(one => !address.includes(one)))
              expect(said, `${method} ${address}`).not.to.contain(id)
        }
    }
    expect(tried).to.be.above(1000)
    expect(await everythingOfTheirs()).to.deep.equal(all)
  })

  it('are not taken over by what a body names', async () => {
    const { request } = app()
    const { cover = '', thing = '', piece = '', material = '' } = foreign
    const refused = [
      ['POST', '/api/covers', coverBody({}, thing)],
      ['POST', '/api/shares', { kind: 'sheet', coverId: cover, thing: 0, days: 7 }],
      ['POST', '/api/stash/reserve', { coverId: cover, pieces: [{ id: piece, version: 1 }] }],
      ['POST', '/api/stash/release', { coverId: cover, pieces: [{ id: piece, version: 1 }] }],
      ['POST', '/api/stash/cut', { coverId: cover, pieces: [{ id: piece, version: 1, leftOvers: [] }] }],
      ['POST', `/api/materials/${material}/pieces`, { source: 'remnant', width: '500', length: '700' }],
    ] as const
    for (const [method, path, body] of refused)
      expect((await request(method, path, { body })).status, path).to.be.oneOf([404, 422])
    // a piece of theirs for a cover of ours
    const { id } = (await request('POST', '/api/covers', { body: coverBody() })).body
    for (const what of ['reserve', 'release'])
      expect(
        (
          await request('POST', `/api/stash/${what}`, {
            body: { coverId: id, pieces: [{ id: piece, version: 1 }] },
          })
        ).status,
        what,
      ).to.equal(404)
    expect(await everythingOfTheirs()).to.deep.equal(all)
  })

  function rowsOf(table: string) {
    return app().database.sequelize.query<{ readonly id: string }>(
      `SELECT id FROM ${table} WHERE workshop_id = $1 AND deleted_at IS NULL ORDER BY seq LIMIT 1`,
      { bind: [app().theirs], type: QueryTypes.SELECT },
    )
  }

  /** Every row of every table that belongs to them, as text. */
  async function everythingOfTheirs(): Promise<readonly string[]> {
    const { sequelize } = app().database
    const tables = await sequelize.query<{ name: string; column: string }>(
      `SELECT table_name AS name, column_name AS column FROM information_schema.columns
       WHERE table_schema = 'public' AND column_name = 'workshop_id' ORDER BY 1`,
      { type: QueryTypes.SELECT },
    )
    const rows = await Promise.all(
      tables.map(({ name }) =>
        sequelize.query<{ row: string }>(
          `SELECT '${name} ' || t::text AS row FROM "${name}" t WHERE workshop_id = $1 ORDER BY 1`,
          { bind: [app().theirs], type: QueryTypes.SELECT },
        ),
      ),
    )
    return rows.flat().map(({ row }) => row)
  }

  function rank(method: string): number {
    return method === 'GET' ? 0 : 1
  }

  /** An address with one of their ids wherever it takes one, and whatever else it takes as it must be. */
  function withIds(path: string, id: string): string {
    return path.replace(/:(\w+)(\{[^}]*\})?/g, () => id)
  }

  /** An address that takes no id in its path, with their ids where its query takes some. */
  function queriesOf(path: string): readonly string[] {
    const ids = Object.values(foreign)
    if (path === '/api/shares') return ids.map(id => `${path}?cover=${id}`)
    if (['/api/covers', '/api/things', '/api/materials', '/api/makes'].includes(path))
      return [path, `${path}?ids=${[...new Set(ids)].join(',')}`]
    return [path]
  }

  function writesOf(method: string): readonly (readonly [unknown, Readonly<Record<string, string>>])[] {
    const bodies =
      method === 'DELETE'
        ? [undefined]
        : [
            {},
            thingBody,
            coverBody(),
            materialBody,
            ruleBody,
            { source: 'remnant', width: '500', length: '700' },
          ]
    const bases = [{ 'If-Match': '"v1"' }, { 'If-None-Match': '*' }, {}]
    return bodies.flatMap(body => bases.map(headers => [body, headers] as const))
  }
})
