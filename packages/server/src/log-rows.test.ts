import { randomUUID } from 'node:crypto'
import { readCuttingBody, type MakeLog, type ShelfEntry } from '@snowdrift/core'
import { expect } from 'chai'
import sharp from 'sharp'
import { ensureWorkshop } from './db/repositories/workshops.js'
import { demoCovers } from './demo/covers.js'
import { demoMakes } from './demo/makes.js'
import { coverBody } from './testing/bodies.js'
import { useTestApp } from './testing/test-database.js'

describe('the log and the shelf on the server', function () {
  this.timeout(180_000)
  const app = useTestApp()
  const isNew = { 'If-None-Match': '*' }
  const newWorkshop = () => ensureWorkshop(app().database.models, `log-${randomUUID()}`, randomUUID)

  const [demoMake] = demoMakes(demoCovers.map(({ file }) => ({ id: randomUUID(), file })))
  if (!demoMake) throw new Error('The demo has makes')
  const { log } = demoMake
  const put = (id: string, body: unknown, workshop?: string) =>
    app().request('PUT', `/api/makes/${id}`, { body, headers: isNew, ...(workshop && { workshop }) })
  const picture = () =>
    sharp({ create: { width: 60, height: 40, channels: 3, background: '#7a4' } })
      .png()
      .toBuffer()

  it('keep a make under the name that the browser gives it, once however often it is sent', async () => {
    const id = randomUUID()
    expect((await put(id, { coverId: null, log })).status).to.be.oneOf([200, 201])
    expect((await put(id, { coverId: null, log })).status).to.be.oneOf([200, 201])
    const read = await app().request('GET', `/api/makes/${id}`)
    expect((read.body as unknown as { log: MakeLog }).log.name).to.equal(log.name)
  })

  it('refuse a log that cannot be by its place, and keep nothing of it', async () => {
    const id = randomUUID()
    const bad = await put(id, { coverId: null, log: { ...log, finished: 'soon', cut: { width: 'wide' } } })
    expect(bad.status).to.equal(422)
    expect(JSON.stringify(bad.body)).to.contain('log.finished')
    expect((await app().request('GET', `/api/makes/${id}`)).status).to.equal(404)
  })

  it('keep a photo as WebP, and refuse one that is none by what it is', async () => {
    const [id, photo] = [randomUUID(), randomUUID()]
    await put(id, { coverId: null, log })
    const address = `/api/makes/${id}/photos/${photo}`
    const refused = await app().requestBytes('PUT', address, Buffer.from('<svg onload="alert(1)"/>'))
    expect(refused.status).to.equal(400)
    expect((await app().requestBytes('GET', address)).status).to.equal(404)
    expect((await app().requestBytes('PUT', address, await picture())).status).to.equal(200)
    const { bytes } = await app().requestBytes('GET', address)
    expect((await sharp(bytes).metadata()).format).to.equal('webp')
  })

  it('show nothing of it to another workshop, and take nothing from one', async () => {
    const other = await newWorkshop()
    const [id, photo] = [randomUUID(), randomUUID()]
    await put(id, { coverId: null, log })
    const address = `/api/makes/${id}/photos/${photo}`
    await app().requestBytes('PUT', address, await picture())
    expect((await app().requestBytes('GET', address, undefined, other)).status).to.equal(404)
    expect((await app().requestBytes('PUT', address, await picture(), other)).status).to.equal(404)
    expect((await app().request('GET', `/api/makes/${id}`, { workshop: other })).status).to.equal(404)
    const list = await app().request('GET', '/api/makes', { workshop: other })
    expect(list.body.items).to.deep.equal([])
  })

  it('keep no more photos of a make than anybody looks at', async () => {
    const workshop = await newWorkshop()
    const id = randomUUID()
    await put(id, { coverId: null, log }, workshop)
    const { photos } = app().repositories
    for (let index = 0; index < 48; index += 1) await photos.put(workshop, id, randomUUID(), Buffer.from('x'))
    const more = await app().requestBytes(
      'PUT',
      `/api/makes/${id}/photos/${randomUUID()}`,
      await picture(),
      workshop,
    )
    expect(more.status).to.equal(422)
  })

  it('list every cover in a line, with its thing, its cloths, its date and how far it is', async () => {
    const workshop = await newWorkshop()
    const { covers, makings, marks, makes, things } = app().repositories
    const thing = await things.create(workshop, {
      name: 'Snow log',
      unit: 'mm',
      object: { kind: 'notebook' },
    })
    const at = '2026-11-29T10:00:00.000Z'
    const done = (...steps: string[]) => ({
      progress: {
        steps: Object.fromEntries(steps.map(step => [step, { at, state: 'done' as const }])),
        waits: {},
        made: {},
        schools: {},
      },
    })
    const create = async (name: string) =>
      (
        await covers.create(
          workshop,
          coverBody({ name, layers: [{ role: 'outer', name: 'Moss twill', thickness: '0.3' }] }, thing.id),
        )
      ).id
    const [draft, cut, bench, made, worn] = [
      await create('draft'),
      await create('cut'),
      await create('bench'),
      await create('made'),
      await create('worn'),
    ]
    await makings.update(workshop, cut, 'new', done('measure-thing', 'straighten-cloth', 'cut-outer'))
    await makings.update(workshop, bench, 'new', done('cut-outer', 'sew-round'))
    await makes.create(workshop, { coverId: made, log })
    const mark = { due: '2026-12-24', copies: 1, planned: true, archived: false, notBefore: {}, worn: true }
    await marks.update(workshop, worn, 'new', { mark })
    const { body } = await app().request('GET', '/api/shelf', { workshop })
    const entries = (body as unknown as { covers: readonly ShelfEntry[] }).covers
    expect(entries.map(({ name, state }) => [name, state])).to.deep.equal([
      ['worn', 'worn'],
      ['made', 'made'],
      ['bench', 'bench'],
      ['cut', 'cut'],
      ['draft', 'draft'],
    ])
    expect(entries.find(({ id }) => id === draft)).to.include({
      thing: 'Snow log',
      due: null,
      planned: false,
    })
    expect(entries[0]).to.deep.include({ cloths: ['Moss twill'], due: '2026-12-24', planned: true })
    const others = await app().request('GET', '/api/shelf', { workshop: await newWorkshop() })
    expect(others.body).to.deep.equal({ covers: [] })
  })

  it('tell the shelf in which cutting a cover is pinned: its own, or, where it has none, one of several', async () => {
    const { covers, cuttings } = app().repositories
    const workshop = await newWorkshop()
    const create = async (name: string) => (await covers.create(workshop, coverBody({ name }))).id
    const [alone, both, loose, deleted] = [
      await create('alone'),
      await create('both'),
      await create('loose'),
      await create('deleted'),
    ]
    const pinned = (piece: string) => ({
      ...{ group: 'outer larch', piece, cloth: 'bolt', sheet: 1, xMm: 1, yMm: 2, turned: false },
    })
    const plan = (coverIds: readonly string[], pins: readonly object[]) =>
      readCuttingBody({ plan: { coverIds, pins } })
    const put = async (id: string, coverIds: readonly string[], pins: readonly object[]) => {
      const body = plan(coverIds, pins)
      if (!body.ok) throw new Error('It is no cutting')
      return cuttings.update(workshop, id, 'new', body.value)
    }
    const several = randomUUID()
    await put(alone, [alone], [pinned('one')])
    await put(several, [alone, both, loose], [pinned('two'), pinned('three')])
    await put(loose, [loose], [])
    await put(deleted, [deleted], [pinned('four')])
    await cuttings.remove(workshop, deleted, 1)
    const { body } = await app().request('GET', '/api/shelf', { workshop })
    const entries = (body as unknown as { covers: readonly ShelfEntry[] }).covers
    expect(Object.fromEntries(entries.map(({ name, pinned: at }) => [name, at]))).to.deep.equal({
      ...{ alone, both: several, loose: null, deleted: null },
    })
  })

  it('refuse a mark that cannot be', async () => {
    const put = (mark: object) =>
      app().request('PUT', `/api/marks/${randomUUID()}`, { body: { mark }, headers: isNew })
    expect((await put({ due: '2026-02-30' })).status).to.equal(422)
    expect((await put({ copies: 0 })).status).to.equal(422)
    expect((await put({ notBefore: { 'cut-outer': 'tomorrow' } })).status).to.equal(422)
    expect((await put({ due: '2026-12-24' })).status).to.be.oneOf([200, 201])
  })

  it('take photos along in the archive, and bring them into another workshop once', async () => {
    const [from, into] = [await newWorkshop(), await newWorkshop()]
    const [id, photo] = [randomUUID(), randomUUID()]
    await put(id, { coverId: null, log: { ...log, photos: [{ id: photo, caption: 'the front' }] } }, from)
    await app().requestBytes('PUT', `/api/makes/${id}/photos/${photo}`, await picture(), from)
    const archive = (await app().requestBytes('GET', '/api/archive', undefined, from)).bytes
    const take = async () => {
      const answer = await app().requestBytes('POST', '/api/archive', archive, into)
      const last = answer.bytes.toString().trim().split('\n').at(-1) ?? ''
      return JSON.parse(last) as {
        report: { counts: Record<string, { added: number; same: number }>; refused: unknown[] }
      }
    }
    const { report } = await take()
    expect(report.refused).to.deep.equal([])
    expect([report.counts.makes?.added, report.counts.photos?.added]).to.deep.equal([1, 1])
    expect((await app().repositories.photos.find(into, photo))?.length).to.be.above(0)
    const again = await take()
    expect([again.report.counts.makes?.added, again.report.counts.photos?.same]).to.deep.equal([0, 1])
  })
})
