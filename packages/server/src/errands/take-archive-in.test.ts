import { expect } from 'chai'
import { strToU8, zipSync } from 'fflate'
import { randomUUID } from 'node:crypto'
import { Readable } from 'node:stream'
import { setTimeout } from 'node:timers/promises'
import type { Repositories } from '../db/repositories/repositories.js'
import { ensureWorkshop } from '../db/repositories/workshops.js'
import { createPictureShrinker } from '../pictures/shrinker.js'
import { coverBody } from '../testing/bodies.js'
import { quietLog, useTestApp } from '../testing/test-database.js'
import { doErrand } from './do-errand.js'
import { createGate } from './testing/gate.js'

describe('an archive that is brought', function () {
  this.timeout(120_000)
  const app = useTestApp()
  let bytes: Buffer = Buffer.alloc(0)
  before(async () => {
    for (const name of ['First', 'Second', 'Third'])
      expect((await app().request('POST', '/api/covers', { body: coverBody({ name }) })).status).to.equal(201)
    bytes = (await app().requestBytes('GET', '/api/archive')).bytes
  })

  const newWorkshop = () => ensureWorkshop(app().database.models, `w-${randomUUID()}`, randomUUID)
  const bring = async (workshop: string, keeps = true): Promise<string> => {
    const asked = { kind: 'archive-in', choice: 'keep', keeps } as const
    // in two parts, as a large one comes
    const brought = Readable.from([bytes.subarray(0, 700), bytes.subarray(700)])
    const errand = await app().repositories.errands.create(workshop, asked, 100, brought)
    return errand?.id ?? expect.fail('too many')
  }
  const coversIn = async (workshop: string) =>
    (await app().repositories.covers.list(workshop, { limit: 9 })).items.length
  const stateOf = async (workshop: string, id: string) =>
    (await app().repositories.errands.find(workshop, id))?.state
  const never = new AbortController().signal
  const shrinker = createPictureShrinker()
  const usual = () => {
    const { repositories } = app()
    const write = async () => Promise.reject(new Error('not asked for'))
    return { repositories, aged: repositories, write, shrinker, now: () => new Date(), log: quietLog }
  }

  /** Tools that stop when the workshop is held, before the first row, until they are let go. */
  const held = () => {
    const { pass, now, ...gate } = createGate()
    const { repositories } = app()
    const together: Repositories['together'] = work =>
      repositories.together(inside =>
        work({
          ...inside,
          hold: async workshop => {
            await inside.hold(workshop)
            await pass()
          },
        }),
      )
    return { tools: { ...usual(), repositories: { ...repositories, together }, now }, ...gate }
  }

  it('is taken in whole, and once, however often it is begun', async () => {
    const into = await newWorkshop()
    const id = await bring(into)
    await doErrand(id, usual(), never)
    expect(await coversIn(into)).to.equal(3)
    const { archive } = (await app().repositories.errands.find(into, id)) ?? {}
    expect(archive?.taken).to.equal(true)
    expect(archive?.report.counts.covers).to.include({ added: 3 })
    await doErrand(id, usual(), never)
    expect(await coversIn(into)).to.equal(3)
  })

  it('is looked through without taking anything, where only that is asked for', async () => {
    const into = await newWorkshop()
    const id = await bring(into, false)
    await doErrand(id, usual(), never)
    const { archive } = (await app().repositories.errands.find(into, id)) ?? {}
    expect(archive?.taken).to.equal(false)
    expect(archive?.report.counts.covers).to.include({ added: 3 })
    expect(await coversIn(into)).to.equal(0)
  })

  it('leaves nothing where it is called off in the middle', async () => {
    const into = await newWorkshop()
    const id = await bring(into)
    const { tools, arrival, release } = held()
    const doing = doErrand(id, tools, never)
    await arrival
    expect(await app().repositories.errands.remove(into, id)).to.equal(true)
    release()
    await doing
    expect(await coversIn(into)).to.equal(0)
    expect(await app().database.models.ErrandPart.count({ where: { errandId: id } })).to.equal(0)
  })

  it('is begun anew where a process ends in the middle, and is there once then', async () => {
    const into = await newWorkshop()
    const id = await bring(into)
    const { tools, arrival, release } = held()
    const closing = new AbortController()
    const doing = doErrand(id, tools, closing.signal).catch((error: unknown) => error)
    await arrival
    closing.abort()
    release()
    expect(await doing).to.be.instanceOf(Error)
    expect(await coversIn(into)).to.equal(0)
    expect(await stateOf(into, id)).to.equal('waiting')
    await doErrand(id, usual(), never)
    expect(await coversIn(into)).to.equal(3)
    expect(await stateOf(into, id)).to.equal('done')
  })

  it('is not kept by whoever was not heard of for long, for another has done it', async () => {
    const into = await newWorkshop()
    const id = await bring(into)
    const slow = held()
    const slowly = { ...slow.tools, now: () => new Date() }
    const doing = doErrand(id, slowly, never)
    await slow.arrival
    const { Errand } = app().database.models
    await Errand.update({ toldAt: new Date(Date.now() - 31_000) }, { where: { id } })
    // the other waits for the workshop, which the first one holds, and has it when that gives up
    const other = doErrand(id, usual(), never)
    while ((await Errand.findByPk(id))?.get().run !== 2) await setTimeout(20)
    slow.release()
    await Promise.all([doing, other])
    const { archive } = (await app().repositories.errands.find(into, id)) ?? {}
    expect(archive?.report.counts.covers).to.include({ added: 3, same: 0 })
    expect(await coversIn(into)).to.equal(3)
  })
})

describe('an archive whose errand nobody does', function () {
  this.timeout(60_000)
  const done = () => Promise.resolve()
  const app = useTestApp({ queue: { put: done, begin: done, close: done } })

  it('is called off by whoever brought it and went away', async () => {
    const bytes = Buffer.from(
      zipSync({
        'workshop.json': strToU8(
          JSON.stringify({ format: 'snowdrift/workshop', version: 1, written: '2026-11-30T08:00:00.000Z' }),
        ),
      }),
    )
    const answer = await app().open('POST', '/api/archive', bytes)
    expect(answer.status).to.equal(200)
    const { Errand } = app().database.models
    expect(await Errand.count()).to.equal(1)
    await answer.body?.cancel()
    while ((await Errand.count()) > 0) await setTimeout(20)
  })
})
