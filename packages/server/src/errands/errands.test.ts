import { expect } from 'chai'
import { unzipSync } from 'fflate'
import { randomUUID } from 'node:crypto'
import { setTimeout } from 'node:timers/promises'
import { PDFDocument } from 'pdf-lib'
import type { Repositories } from '../db/repositories/repositories.js'
import { createPictureShrinker } from '../pictures/shrinker.js'
import { coverBody } from '../testing/bodies.js'
import { quietLog, useTestApp } from '../testing/test-database.js'
import { doErrand } from './do-errand.js'
import { createGate } from './testing/gate.js'

interface Said {
  readonly id: string
  readonly state: string
  readonly part: number
  readonly why?: string
  readonly file?: { readonly name: string; readonly type: string; readonly bytes: number }
}

describe('errands', function () {
  this.timeout(180_000)
  const app = useTestApp()
  const ask = (body: object, workshop?: string) =>
    app().request('POST', '/api/errands', { body, ...(workshop !== undefined && { workshop }) })
  const look = async (id: string) => {
    const { status, body } = await app().request('GET', `/api/errands/${id}`)
    return { status, said: body as unknown as Said }
  }
  const done = async (id: string): Promise<Said> => {
    for (;;) {
      const { said } = await look(id)
      if (said.state === 'done' || said.state === 'failed') return said
      await setTimeout(20)
    }
  }
  const file = (id: string, workshop?: string) =>
    app().requestBytes('GET', `/api/errands/${id}/file`, undefined, workshop)
  const newCover = async (name: string, workshop?: string) => {
    const answer = await app().request('POST', '/api/covers', {
      body: coverBody({ name }),
      ...(workshop !== undefined && { workshop }),
    })
    expect(answer.status).to.equal(201)
    return answer.body.id
  }
  const partsOf = async (id: string) => app().database.models.ErrandPart.count({ where: { errandId: id } })

  it('write the workshop as a file, and keep it until it is taken back', async () => {
    await newCover('Kept')
    const asked = await ask({ kind: 'archive' })
    expect(asked.status).to.equal(201)
    const said = await done(asked.body.id)
    const { status, bytes } = await file(said.id)
    expect(status).to.equal(200)
    expect(said).to.deep.equal({
      id: said.id,
      state: 'done',
      part: 1,
      file: { name: 'workshop.snowdrift.zip', type: 'application/zip', bytes: bytes.length },
    })
    expect(Object.keys(unzipSync(bytes)).filter(name => name.startsWith('covers/'))).to.have.length.above(0)
    expect((await app().request('DELETE', `/api/errands/${said.id}`)).status).to.equal(200)
    expect((await look(said.id)).status).to.equal(404)
    expect((await file(said.id)).status).to.equal(404)
    expect(await partsOf(said.id)).to.equal(0)
  })

  it('write the sheets of covers as one PDF, in the order asked for', async () => {
    const names = ['First', 'Second', 'Third']
    const covers: string[] = []
    for (const name of names) covers.push(await newCover(name))
    const asked = await ask({ kind: 'sheets', covers, paper: 'letter' })
    const said = await done(asked.body.id)
    expect(said.file).to.include({ name: 'sheets.pdf', type: 'application/pdf' })
    const whole = await PDFDocument.load((await file(said.id)).bytes)
    const alone = await Promise.all(
      names.map(async name => {
        const { bytes } = await app().requestBytes(
          'POST',
          '/api/exports',
          Buffer.from(JSON.stringify({ file: coverBody({ name }).file, as: 'sheet', paper: 'letter' })),
          undefined,
          { 'Content-Type': 'application/json' },
        )
        return (await PDFDocument.load(bytes)).getPageCount()
      }),
    )
    expect(whole.getPageCount()).to.equal(alone.reduce((sum, pages) => sum + pages, 0))
    // 8½ × 11 in at 72 points an inch
    expect(whole.getPage(0).getSize()).to.deep.equal({ width: 612, height: 792 })
  })

  it('say what cannot be done, and which cover it is', async () => {
    const { body } = await app().request('POST', '/api/covers', {
      body: coverBody({ name: 'Half measured', object: { kind: 'hardcover', readings: { width: ['150'] } } }),
    })
    const { id } = body
    const said = await done((await ask({ kind: 'sheets', covers: [id] })).body.id)
    expect(said.state).to.equal('failed')
    expect(said.why).to.match(/^“Half measured”: .*height/)
    expect((await file(said.id)).status).to.equal(404)
    expect(await partsOf(said.id)).to.equal(0)
  })

  it('are refused for what is not ours, not there, or more than may be', async () => {
    const theirs = await newCover('Theirs', app().theirs)
    for (const body of [
      { kind: 'archive', cover: theirs },
      { kind: 'sheets', covers: [theirs] },
      { kind: 'sheets', covers: [randomUUID()] },
    ])
      expect((await ask(body)).status, JSON.stringify(body)).to.equal(404)
    for (const body of [
      { kind: 'sheets', covers: [] },
      { kind: 'sheets', covers: Array.from({ length: 101 }, () => randomUUID()) },
      { kind: 'sheets', covers: ['x'] },
      { kind: 'archive', cover: 'x' },
      { kind: 'washing' },
      {},
    ])
      expect((await ask(body)).status, JSON.stringify(body).slice(0, 60)).to.equal(422)
    const { errands } = app().repositories
    const workshop = app().ours
    for (let number = 0; number < 3; number += 1) await errands.create(workshop, { kind: 'archive' }, 3)
    const fourth = await ask({ kind: 'archive' })
    expect(fourth.status).to.equal(503)
    expect(fourth.body.detail).to.match(/being done for this workshop/)
    await app().database.models.Errand.destroy({ where: { workshopId: workshop } })
  })

  it('are nobody else’s to see, fetch or call off', async () => {
    const { id } = await done((await ask({ kind: 'archive' })).body.id)
    const workshop = app().theirs
    expect((await app().request('GET', `/api/errands/${id}`, { workshop })).status).to.equal(404)
    expect((await file(id, workshop)).status).to.equal(404)
    expect((await app().request('DELETE', `/api/errands/${id}`, { workshop })).status).to.equal(404)
    expect((await file(id)).status).to.equal(200)
  })

  const notAskedFor = {
    write: async () => Promise.reject(new Error('not asked for')),
    shrinker: createPictureShrinker(),
  }
  /** Tools whose archive stops at its first row until it is let go. */
  const held = () => {
    const { pass, now, ...gate } = createGate()
    const { repositories } = app()
    const snapshot: Repositories['snapshot'] = async work => {
      await pass()
      return repositories.snapshot(work)
    }
    const tools = { repositories, aged: { ...repositories, snapshot }, ...notAskedFor, now, log: quietLog }
    return { tools, ...gate }
  }
  const create = async () => {
    const errand = await app().repositories.errands.create(app().ours, { kind: 'archive' }, 100)
    if (!errand) throw new Error('too many')
    return errand.id
  }
  const never = new AbortController().signal

  it('that are called off are left at the next step, and leave nothing', async () => {
    const id = await create()
    const { tools, arrival, release } = held()
    const doing = doErrand(id, tools, never)
    await arrival
    expect((await look(id)).said.state).to.equal('running')
    await app().request('DELETE', `/api/errands/${id}`)
    release()
    await doing
    expect((await look(id)).status).to.equal(404)
    expect(await partsOf(id)).to.equal(0)
  })

  it('that a process leaves when it ends are begun anew by the next', async () => {
    const id = await create()
    const { tools, arrival, release } = held()
    const closing = new AbortController()
    const doing = doErrand(id, tools, closing.signal).catch((error: unknown) => error)
    await arrival
    closing.abort()
    release()
    expect(await doing).to.be.instanceOf(Error)
    expect((await look(id)).said).to.include({ state: 'waiting' })
    await doErrand(id, { ...tools, aged: app().repositories }, never)
    expect((await look(id)).said.state).to.equal('done')
  })

  it('are done by one at a time; whoever was not heard of for long has lost it', async () => {
    const id = await create()
    const slow = held()
    const doing = doErrand(id, slow.tools, never)
    await slow.arrival
    // somebody is at it
    await doErrand(id, { ...slow.tools, aged: app().repositories }, never)
    expect((await look(id)).said.state).to.equal('running')
    const { Errand } = app().database.models
    await Errand.update({ toldAt: new Date(Date.now() - 31_000) }, { where: { id } })
    // Asked for, it is put into the queue again: this application’s own queue does it.
    const { state, file: written } = await done(id)
    expect(state).to.equal('done')
    slow.release()
    await doing
    const { bytes } = await file(id)
    expect(bytes).to.have.length(written?.bytes ?? 0)
    expect(Object.keys(unzipSync(bytes))).to.include('workshop.json')
  })

  it('that are over are kept as far as there is room for: the newest five', async () => {
    const ids: string[] = []
    for (let number = 0; number < 7; number += 1) {
      const { body } = await ask({ kind: 'archive' })
      ids.push((await done(body.id)).id)
    }
    // the seventh was asked for when six were over
    const statuses = await Promise.all(ids.map(async id => (await look(id)).status))
    expect(statuses).to.deep.equal([404, 200, 200, 200, 200, 200, 200])
  })

  it('are forgotten after an hour, with what they wrote', async () => {
    const { id } = await done((await ask({ kind: 'archive' })).body.id)
    const { errands } = app().repositories
    await errands.forgetBefore(new Date(Date.now() - 3_600_000))
    expect((await look(id)).status).to.equal(200)
    await errands.forgetBefore(new Date(Date.now() + 1000))
    expect((await look(id)).status).to.equal(404)
    expect(await partsOf(id)).to.equal(0)
  })
})

describe('errands without a queue', function () {
  this.timeout(60_000)
  const away = () =>
    Promise.reject(Object.assign(new Error('connect ECONNREFUSED'), { code: 'ECONNREFUSED' }))
  const app = useTestApp({ queue: { put: away, begin: away, close: () => Promise.resolve() } })

  it('are refused, and leave nothing that would wait for ever', async () => {
    for (const [method, path, options] of [
      ['POST', '/api/errands', { body: { kind: 'archive' } }],
      ['GET', '/api/archive', {}],
    ] as const)
      expect((await app().request(method, path, options)).status, path).to.be.within(500, 503)
    expect(await app().database.models.Errand.count()).to.equal(0)
  })
})
