import { randomUUID } from 'node:crypto'
import { expect } from 'chai'
import sharp from 'sharp'
import { createSimulatedShop } from './devices/shop/simulated-shop.js'
import type { FabricShop, ShopAnswer } from './devices/shop/shop.js'
import { listAll } from './db/repositories/page.js'
import { ensureWorkshop } from './db/repositories/workshops.js'
import { coverBody, materialBody } from './testing/bodies.js'
import { useTestApp, type Answer } from './testing/test-database.js'

interface Piece {
  readonly id: string
  readonly version: number
  readonly state: string
  readonly width: string
  readonly length: string
  readonly materialId: string
  readonly count: number
}

describe('the stash', function () {
  this.timeout(180_000)
  let answer: ShopAnswer = { kind: 'offers', offers: [] }
  const shop: FabricShop = { name: 'Test shop', offers: async () => Promise.resolve(answer) }

  const app = useTestApp({ shop })

  const ifMatch = (version: number) => ({ headers: { 'If-Match': `"v${version}"` } })
  const itemsOf = ({ body }: Answer) =>
    body.items as unknown as readonly (Piece & { readonly what: string; readonly detail: string })[]
  const createMaterial = async () =>
    (await app().request('POST', '/api/materials', { body: materialBody })).body.id
  const createCover = async () => (await app().request('POST', '/api/covers', { body: coverBody() })).body.id
  async function addPiece(materialId: string, width = '500', length = '700'): Promise<Piece> {
    const body = { source: 'remnant', width, length }
    const added = await app().request('POST', `/api/materials/${materialId}/pieces`, { body })
    expect(added.status).to.equal(201)
    return added.body as unknown as Piece
  }
  const piecesOf = async (materialId: string) =>
    itemsOf(await app().request('GET', '/api/stash/pieces')).filter(piece => piece.materialId === materialId)
  const historyOf = async (materialId: string) =>
    itemsOf(await app().request('GET', `/api/materials/${materialId}/history`))
  const chosen = ({ id, version }: Piece) => ({ id, version })
  async function largeStash(count: number) {
    const workshop = await ensureWorkshop(app().database.models, `large-${randomUUID()}`, randomUUID)
    const { materials, stash } = app().repositories
    const { id } = await materials.create(workshop, materialBody)
    const piece = {
      source: 'remnant',
      width: '500',
      length: '700',
      count: 1,
      note: '',
      avoid: [],
      marks: [],
    } as const
    await stash.addAll(workshop, [{ materialId: id, pieces: Array<typeof piece>(count).fill(piece) }])
    return { workshop, pieces: await listAll(page => stash.list(workshop, page)) }
  }

  it('keeps pieces as they were typed, and changes and drops them by version', async () => {
    const material = await createMaterial()
    const piece = await addPiece(material, '50 cm', '70,5 cm')
    expect(piece).to.include({ width: '50 cm', length: '70,5 cm', state: 'free', count: 1, note: '' })
    const body = { source: 'garment', width: '300', length: '400', note: 'pocket at the top' }
    const changed = await app().request('PUT', `/api/stash/pieces/${piece.id}`, { body, ...ifMatch(1) })
    expect(changed.body).to.include({ version: 2, note: 'pocket at the top' })
    const again = await app().request('PUT', `/api/stash/pieces/${piece.id}`, { body, ...ifMatch(1) })
    expect([again.status, again.body.version], 'it says so already').to.deep.equal([200, 2])
    const otherwise = { body: { ...body, note: 'no pocket' }, ...ifMatch(1) }
    expect((await app().request('PUT', `/api/stash/pieces/${piece.id}`, otherwise)).status).to.equal(412)
    expect((await app().request('DELETE', `/api/stash/pieces/${piece.id}`, ifMatch(2))).status).to.equal(200)
    expect(await piecesOf(material)).to.deep.equal([])
    expect((await historyOf(material)).map(({ what }) => what)).to.deep.equal([
      'piece-gone',
      'piece-changed',
      'piece-added',
      'added',
    ])
  })

  it('refuses a piece without a size, with one that cannot be read, or of no material', async () => {
    const material = await createMaterial()
    const post = (body: object, id = material) =>
      app().request('POST', `/api/materials/${id}/pieces`, { body })
    expect((await post({ source: 'remnant', width: '300' })).body.detail).to.contain(
      'length: Expected a width and a length',
    )
    expect((await post({ source: 'remnant', width: 'wide', length: '1' })).status).to.equal(422)
    expect((await post({ source: 'notion', length: '2 m' })).status).to.equal(422)
    expect((await post({ source: 'notion', length: '200 cm' })).status).to.equal(201)
    expect(
      (await post({ source: 'remnant', width: '1', length: '1' }, '7b1c4d0e-3c55-4b5f-9d6e-0a4b5c6d7e8f'))
        .status,
    ).to.equal(404)
    expect((await post({ source: 'remnant', width: '1', length: '1' }, 'no-id')).status).to.equal(404)
  })

  it('cuts a piece, puts what is left back, and tells it in the history', async () => {
    const [material, coverId] = [await createMaterial(), await createCover()]
    const piece = await addPiece(material)
    const pieces = [{ ...chosen(piece), leftOvers: [{ width: '200', length: '700' }] }]
    expect((await app().request('POST', '/api/stash/cut', { body: { coverId, pieces } })).status).to.equal(
      200,
    )
    const left = await piecesOf(material)
    expect(left.map(({ width, length, state }) => [width, length, state])).to.deep.equal([
      ['200', '700', 'free'],
    ])
    expect(
      (await historyOf(material)).map(({ what, detail }) => `${what} ${detail}`).slice(0, 2),
    ).to.deep.equal(['left-over left-over 200 × 700', 'cut remnant 500 × 700'])
  })

  it('puts what is left back with what is marked on it', async () => {
    const [material, coverId] = [await createMaterial(), await createCover()]
    const piece = await addPiece(material)
    const hut = { name: 'the hut', what: 'motif', x: '20', y: '30', width: '60', height: '40' }
    const cut = (marks: readonly object[]) => {
      const pieces = [{ ...chosen(piece), leftOvers: [{ width: '200', length: '700', marks }] }]
      return app().request('POST', '/api/stash/cut', { body: { coverId, pieces } })
    }
    const beside = await cut([{ ...hut, x: '230' }])
    expect([beside.status, beside.body.issues[0]?.path]).to.deep.equal([
      422,
      'pieces[0].leftOvers[0].marks[0].x',
    ])
    expect((await cut([{ ...hut, colour: 'red' }])).status).to.equal(422)
    expect((await cut([hut])).status).to.equal(200)
    const [left] = await piecesOf(material)
    expect(left).to.deep.include({ source: 'left-over', marks: [hut], avoid: [] })
  })

  it('cuts nothing twice, by however many windows at once', async () => {
    const [material, coverId] = [await createMaterial(), await createCover()]
    const [one, other] = [await addPiece(material), await addPiece(material)]
    const body = (order: readonly Piece[]) => ({
      coverId,
      pieces: order.map(piece => ({ ...chosen(piece), leftOvers: [{ width: '100', length: '100' }] })),
    })
    const tries = await Promise.all(
      Array.from({ length: 8 }, (_, index) =>
        app().request('POST', '/api/stash/cut', { body: body(index % 2 ? [one, other] : [other, one]) }),
      ),
    )
    expect(tries.map(({ status }) => status).toSorted()).to.deep.equal([200, ...Array<number>(7).fill(412)])
    expect(await piecesOf(material)).to.have.length(2)
  })

  it('takes all that was asked for or nothing', async () => {
    const [material, coverId] = [await createMaterial(), await createCover()]
    const [one, other] = [await addPiece(material), await addPiece(material)]
    const stale = { coverId, pieces: [chosen(one), { ...chosen(other), version: 7 }] }
    expect((await app().request('POST', '/api/stash/reserve', { body: stale })).status).to.equal(412)
    expect((await piecesOf(material)).map(({ state }) => state)).to.deep.equal(['free', 'free'])
  })

  it('cuts some of several alike, and leaves the others where they are', async () => {
    const [material, coverId] = [await createMaterial(), await createCover()]
    const body = { source: 'sheet', width: '300', length: '400', count: 3 }
    const added = await app().request('POST', `/api/materials/${material}/pieces`, { body })
    const cut = (version: number, count?: number) =>
      app().request('POST', '/api/stash/cut', {
        body: { coverId, pieces: [{ id: added.body.id, version, ...(count && { count }), leftOvers: [] }] },
      })
    expect((await cut(1, 4)).body.detail).to.contain('pieces[0].count: Expected at most 3')
    expect((await cut(1, 2)).status).to.equal(200)
    expect((await piecesOf(material)).map(({ count, state }) => [count, state])).to.deep.equal([[1, 'free']])
    expect((await cut(2)).status).to.equal(200)
    expect(await piecesOf(material)).to.deep.equal([])
    expect(
      (await historyOf(material)).filter(({ what }) => what === 'cut').map(({ detail }) => detail),
    ).to.deep.equal(['sheet 300 × 400', 'sheet 300 × 400 (2)'])
  })

  it('refuses the same piece twice in one cut, and left-overs that cannot be of it', async () => {
    const [material, coverId] = [await createMaterial(), await createCover()]
    const piece = await addPiece(material, '500', '700')
    const cut = (leftOvers: readonly object[], times = 1) =>
      app().request('POST', '/api/stash/cut', {
        body: { coverId, pieces: Array<object>(times).fill({ ...chosen(piece), leftOvers }) },
      })
    const left = (width: string, length: string) => ({ width, length })
    expect((await cut([left('100', '100')], 2)).body.detail).to.contain('It is named before, as pieces[0].')
    for (const [leftOvers, complaint] of [
      [[left('510', '600')], 'pieces[0].leftOvers[0]: Expected at most 500 mm × 700 mm'],
      [[left('-20', '100')], 'pieces[0].leftOvers[0]: Expected a width and a length over nought'],
      [[left('500', '400'), left('500', '400')], 'Together they are larger'],
    ] as const) {
      const refused = await cut(leftOvers)
      expect([refused.status, refused.body.detail]).to.satisfy(
        ([status, detail]: [number, string]) => status === 422 && detail.includes(complaint),
      )
    }
    expect(await piecesOf(material)).to.have.length(1)
    expect((await cut([left('500', '400'), left('300', '500')])).status).to.equal(200)
  })

  it('keeps and cuts only for a cover that there is', async () => {
    const [material, deleted] = [await createMaterial(), await createCover()]
    const piece = await addPiece(material)
    await app().request('DELETE', `/api/covers/${deleted}`, ifMatch(1))
    const body = coverBody()
    const theirs = (await app().request('POST', '/api/covers', { body, workshop: app().theirs })).body.id
    for (const coverId of [deleted, theirs, '7b1c4d0e-3c55-4b5f-9d6e-0a4b5c6d7e8f'])
      for (const [what, more] of [
        ['reserve', {}],
        ['cut', { leftOvers: [] }],
      ] as const)
        // prettier-ignore
        expect(
          (
            await app().request('POST', `/api/stash/${what}`, {
              body: { coverId, pieces: [{ ...chosen(piece), ...more }] },
            })
          ).body.detail,
        ).to.contain('no such cover')
    expect((await piecesOf(material)).map(({ state }) => state)).to.deep.equal(['free'])
  })

  it('lets go of what was kept for a cover when that is deleted', async () => {
    const [material, coverId] = [await createMaterial(), await createCover()]
    const piece = await addPiece(material)
    await app().request('POST', '/api/stash/reserve', { body: { coverId, pieces: [chosen(piece)] } })
    await app().request('DELETE', `/api/covers/${coverId}`, ifMatch(1))
    expect((await piecesOf(material)).map(({ state }) => state)).to.deep.equal(['free'])
    expect((await historyOf(material)).map(({ what }) => what).slice(0, 2)).to.deep.equal([
      'released',
      'reserved',
    ])
  })

  it('keeps the size of its pieces when a material takes another unit', async () => {
    const material = await createMaterial()
    await addPiece(material, '18', '21 cm')
    const body = { ...materialBody, unit: 'in', material: { ...materialBody.material, thickness: '0.4 mm' } }
    expect(
      (await app().request('PUT', `/api/materials/${material}`, { body, ...ifMatch(1) })).status,
    ).to.equal(200)
    expect((await piecesOf(material)).map(({ width, length }) => [width, length])).to.deep.equal([
      ['18 mm', '21 cm'],
    ])
  })

  it('shows all of a large stash, page by page, and writes all of it as CSV', async () => {
    const { workshop, pieces } = await largeStash(2542)
    const seen: string[] = []
    let path = '/api/stash/pieces?limit=500'
    while (path) {
      const { body } = await app().request('GET', path, { workshop })
      seen.push(...body.items.map(({ id }) => id))
      path = body.next === null ? '' : `/api/stash/pieces?limit=500&after=${body.next}`
    }
    expect(new Set(seen)).to.deep.equal(new Set(pieces.map(({ id }) => id)))
    expect(seen).to.have.length(2542)
    const last = pieces.at(-1)
    if (!last) throw new Error('The stash is empty')
    const body = { source: 'remnant', width: '10', length: '20', note: 'the last' }
    const changed = await app().request('PUT', `/api/stash/pieces/${last.id}`, {
      body,
      workshop,
      ...ifMatch(1),
    })
    expect(changed.status).to.equal(200)
    const csv = (await app().requestBytes('GET', '/api/stash.csv', undefined, workshop)).bytes.toString(
      'utf8',
    )
    expect(csv.trim().split('\r\n')).to.have.length(2543)
  })

  it('tells its history page by page', async () => {
    const material = await createMaterial()
    for (let n = 0; n < 4; n++) await addPiece(material, String(100 + n), '200')
    const history = (more: string) =>
      app().request('GET', `/api/materials/${material}/history?limit=3${more}`)
    const first = await history('')
    const second = await history(`&after=${first.body.next ?? ''}`)
    expect([...itemsOf(first), ...itemsOf(second)].map(({ what }) => what)).to.deep.equal([
      ...Array<string>(4).fill('piece-added'),
      'added',
    ])
    expect(second.body.next).to.equal(null)
  })

  it('keeps a piece for one cover: another can neither take nor cut it until it is let go', async () => {
    const [material, ours, theirs] = [await createMaterial(), await createCover(), await createCover()]
    const piece = await addPiece(material)
    const post = (what: string, coverId: string, version: number, more: object = {}) =>
      app().request('POST', `/api/stash/${what}`, {
        body: { coverId, pieces: [{ id: piece.id, version, ...more }] },
      })
    expect((await post('reserve', ours, 1)).status).to.equal(200)
    expect((await post('reserve', theirs, 2)).status).to.equal(412)
    expect((await post('cut', theirs, 2, { leftOvers: [] })).status).to.equal(412)
    expect((await post('release', theirs, 2)).status).to.equal(412)
    expect((await post('release', ours, 2)).status).to.equal(200)
    expect((await post('reserve', theirs, 3)).status).to.equal(200)
    expect((await post('cut', theirs, 4, { leftOvers: [] })).status).to.equal(200)
  })

  it('shows nothing of it to another workshop, and lets it change nothing', async () => {
    const material = await createMaterial()
    const piece = await addPiece(material)
    const workshop = app().theirs
    expect(itemsOf(await app().request('GET', '/api/stash/pieces', { workshop }))).to.deep.equal([])
    expect(
      itemsOf(await app().request('GET', `/api/materials/${material}/history`, { workshop })),
    ).to.deep.equal([])
    const foreign = { coverId: material, pieces: [{ ...chosen(piece), leftOvers: [] }] }
    expect((await app().request('POST', '/api/stash/cut', { body: foreign, workshop })).status).to.equal(404)
    expect(
      (await app().request('DELETE', `/api/stash/pieces/${piece.id}`, { ...ifMatch(1), workshop })).status,
    ).to.equal(404)
    const body = { source: 'remnant', width: '10', length: '10' }
    expect(
      (await app().request('POST', `/api/materials/${material}/pieces`, { body, workshop })).status,
    ).to.equal(404)
  })

  it('makes an uploaded picture small, and refuses what is none', async () => {
    const material = await createMaterial()
    const photo = await sharp({ create: { width: 1200, height: 800, channels: 3, background: '#33665a' } })
      .jpeg()
      .toBuffer()
    const put = (bytes: Buffer, workshop?: string) =>
      app().requestBytes('PUT', `/api/materials/${material}/picture`, bytes, workshop)
    expect((await put(photo)).status).to.equal(200)
    const picture = await app().requestBytes('GET', `/api/materials/${material}/picture`)
    const { width, height, format } = await sharp(picture.bytes).metadata()
    expect({ width, height, format }).to.deep.equal({ width: 800, height: 533, format: 'webp' })
    expect((await app().request('GET', `/api/materials/${material}`)).body).to.include({
      picture: 1,
      version: 2,
    })
    expect((await put(Buffer.from('no picture'))).status).to.equal(400)
    expect((await put(Buffer.alloc(9 * 1024 * 1024))).status).to.equal(413)
    expect((await put(photo, app().theirs)).status).to.equal(404)
  })

  it('brings a piece back that was taken out', async () => {
    const material = await createMaterial()
    const piece = await addPiece(material, '300', '400')
    const ofIt = async () =>
      itemsOf(await app().request('GET', '/api/stash/pieces?limit=100')).filter(({ id }) => id === piece.id)
    expect((await app().request('DELETE', `/api/stash/pieces/${piece.id}`, ifMatch(1))).status).to.equal(200)
    expect(await ofIt()).to.have.length(0)
    const restore = (workshop?: string) =>
      app().request('POST', `/api/stash/pieces/${piece.id}/restore`, workshop ? { workshop } : {})
    expect((await restore(app().theirs)).status).to.equal(404)
    expect((await restore()).status).to.equal(200)
    expect((await restore()).status).to.equal(200)
    expect(await ofIt()).to.have.length(1)
  })

  it('keeps how covers are cut', async () => {
    const plan = { coverIds: [await createCover()], cuts: 'rotary', sources: {}, pins: [], done: [] }
    const created = await app().request('POST', '/api/cuttings', { body: { plan } })
    expect(created.status).to.equal(201)
    expect((await app().request('GET', `/api/cuttings/${created.body.id}`)).body).to.deep.include({ plan })
    const bad = await app().request('POST', '/api/cuttings', { body: { plan: { ...plan, cuts: 'laser' } } })
    expect(bad.body.detail).to.contain('plan.cuts: Expected scissors or rotary')
  })

  it('asks the shop, and says when it is closed', async () => {
    answer = {
      kind: 'offers',
      offers: [
        {
          id: 'a',
          role: 'outer',
          name: 'A',
          thicknessMm: 0.3,
          shrinkage: 0,
          widthMm: 1100,
          cuts: [],
          stockMm: 0,
        },
      ],
    }
    expect((await app().request('GET', '/api/shop/offers?role=outer')).body).to.deep.equal({
      shop: 'Test shop',
      items: answer.offers,
    })
    expect((await app().request('GET', '/api/shop/offers?role=sail')).status).to.equal(400)
    answer = { kind: 'closed', opensAt: '6:00' }
    const closed = await app().request('GET', '/api/shop/offers?role=outer')
    expect([closed.status, closed.body.detail]).to.deep.equal([
      503,
      'Test shop is closed; it opens at 6:00. Lengths are known all the same, prices are not.',
    ])
  })
})

describe('the simulated shop', () => {
  const shopAt = (hour: number, chances: readonly number[]) => {
    const waited: number[] = []
    const left = [...chances]
    const shop = createSimulatedShop({
      now: () => new Date(2026, 0, 5, hour),
      wait: async ms => Promise.resolve(void waited.push(ms)),
      chance: () => left.shift() ?? 1,
    })
    return { shop, waited }
  }

  it('is quick or slow, stocked or sold out, as chance has it', async () => {
    const { shop, waited } = shopAt(10, [0.9, 0.9])
    const good = await shop.offers('outer')
    expect(waited).to.deep.equal([])
    expect(good.kind === 'offers' && good.offers.every(({ stockMm }) => stockMm > 0)).to.equal(true)
    const bad = shopAt(10, [0.1, 0.1])
    const sold = await bad.shop.offers('outer')
    expect(bad.waited).to.deep.equal([2000])
    expect(sold.kind === 'offers' && sold.offers[0]?.stockMm).to.equal(0)
  })

  it('is closed at night', async () => {
    expect(await shopAt(23, []).shop.offers('outer')).to.deep.equal({ kind: 'closed', opensAt: '6:00' })
    expect((await shopAt(6, []).shop.offers('lining')).kind).to.equal('offers')
  })
})
