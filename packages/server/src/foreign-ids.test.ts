import { expect } from 'chai'
import { randomUUID } from 'node:crypto'
import { QueryTypes } from 'sequelize'
import sharp from 'sharp'
import { loadDemo } from './demo/load-demo.js'
import { coverBody, ruleBody } from './testing/bodies.js'
import { everythingOf } from './testing/everything-of.js'
import { useTestApp } from './testing/test-database.js'
import { walkRoutes } from './testing/walk-routes.js'

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
      errand: (await repositories.errands.create(theirs, { kind: 'archive' }, 1))?.id ?? '',
    }
    all = await everythingOf(app().database, app().theirs)
  })

  it('are of every kind that a route can name', () => {
    for (const [kind, id] of Object.entries(foreign)) expect(id, kind).to.match(/^[0-9a-f-]{36}$/)
  })

  it('are neither shown nor changed by any route, whatever id of theirs it is given', async () => {
    const { routes, request } = app()
    const tried = await walkRoutes({
      routes,
      foreign,
      ask: (method, path, options) => request(method, path, options),
      secrets: ['Hut ledger', 'Their phone'],
    })
    expect(tried).to.be.above(1000)
    expect(await everythingOf(app().database, app().theirs)).to.deep.equal(all)
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
      ['POST', '/api/errands', { kind: 'archive', cover }],
      ['POST', '/api/errands', { kind: 'sheets', covers: [cover] }],
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
    expect(await everythingOf(app().database, app().theirs)).to.deep.equal(all)
  })

  function rowsOf(table: string) {
    return app().database.sequelize.query<{ readonly id: string }>(
      `SELECT id FROM ${table} WHERE workshop_id = $1 AND deleted_at IS NULL ORDER BY seq LIMIT 1`,
      { bind: [app().theirs], type: QueryTypes.SELECT },
    )
  }
})
