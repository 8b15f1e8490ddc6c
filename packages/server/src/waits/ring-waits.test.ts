import { randomUUID } from 'node:crypto'
import { noProgress, type Progress } from '@snowdrift/core'
import { expect } from 'chai'
import { ensureWorkshop } from '../db/repositories/workshops.js'
import { coverBody } from '../testing/bodies.js'
import { useTestApp } from '../testing/test-database.js'
import { countEnded, findEnded } from './ring-waits.js'

const at = (time: string) => new Date(`2026-03-05T${time}Z`)
const waiting = (endsAt: string, heard?: true): Progress => ({
  ...noProgress,
  waits: {
    glue: { at: at('16:00:00').toISOString(), endsAt: at(endsAt).toISOString(), ...(heard && { heard }) },
  },
})

describe('waits that ended', () => {
  it('are those after the last look and by now, each told once', () => {
    const count = (endsAt: string) => countEnded(waiting(endsAt), at('17:00:00'), at('17:00:10'))
    expect(count('17:00:05')).to.equal(1)
    expect(count('17:00:10')).to.equal(1)
    // At the last look it was told.
    expect(count('17:00:00')).to.equal(0)
    expect(count('17:00:11')).to.equal(0)
  })

  it('are not told once somebody heard them, or need not wait', () => {
    expect(countEnded(waiting('17:00:05', true), at('17:00:00'), at('17:00:10'))).to.equal(0)
    expect(countEnded(noProgress, at('17:00:00'), at('17:00:10'))).to.equal(0)
  })
})

describe('waits that ended, in the database', function () {
  this.timeout(180_000)
  const app = useTestApp()
  const isNew = { 'If-None-Match': '*' }

  it('are found with their cover, in their workshop only, and not of a cover that was deleted', async () => {
    const created = await app().request('POST', '/api/covers', { body: coverBody() })
    const id = created.body.id
    const end = new Date(Date.now() + 60_000)
    const progress: Progress = {
      ...noProgress,
      waits: { glue: { at: new Date().toISOString(), endsAt: end.toISOString() } },
    }
    const put = await app().request('PUT', `/api/makings/${id}`, { body: { progress }, headers: isNew })
    expect(put.status).to.be.oneOf([200, 201])
    const { sequelize, models } = app().database
    const look = (workshop: string, byMs: number) =>
      findEnded(sequelize, workshop, new Date(end.getTime() - 10_000), new Date(end.getTime() + byMs))
    const found = await look(app().ours, 0)
    expect(found.map(({ coverId }) => coverId)).to.deep.equal([id])
    expect(await look(app().ours, -1)).to.deep.equal([])
    const other = await ensureWorkshop(models, `waits-${randomUUID()}`, randomUUID)
    expect(await look(other, 0)).to.deep.equal([])
    await app().request('DELETE', `/api/covers/${id}`, { headers: { 'If-Match': '"v1"' } })
    expect(await look(app().ours, 0)).to.deep.equal([])
  })
})
