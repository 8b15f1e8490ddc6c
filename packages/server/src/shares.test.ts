import type { OwnersAnswer, ShareRow } from '@snowdrift/core'
import { expect } from 'chai'
import { coverBody } from './testing/bodies.js'
import { useTestApp } from './testing/test-database.js'

describe('links that a workshop gives out', function () {
  this.timeout(180_000)
  const app = useTestApp()

  interface Made {
    readonly share: ShareRow
    readonly token: string
    readonly coverId: string
  }
  async function make(kind: 'sheet' | 'measure', more: object = {}): Promise<Made> {
    const cover = await app().request('POST', '/api/covers', { body: coverBody() })
    const made = await app().request('POST', '/api/shares', {
      body: { kind, coverId: cover.body.id, ...more },
    })
    expect(made.status, JSON.stringify(made.body)).to.equal(201)
    return { ...(made.body as unknown as Made), coverId: cover.body.id }
  }
  /** As somebody who belongs to no workshop here. */
  const stranger = { workshop: '00000000-0000-4000-8000-000000000000' }
  const look = (token: string) => app().request('GET', `/api/shared/${token}`, stranger)
  const send = (token: string, body: unknown) =>
    app().request('POST', `/api/shared/${token}`, { body, ...stranger })
  const linksOf = async (coverId: string) =>
    (await app().request('GET', `/api/shares?cover=${coverId}`)).body.items as unknown as readonly ShareRow[]
  const good = { unit: 'in', readings: { height: ['8 1/4', '8 3/16'], width: ['5 3/4'] } }

  it('show the project sheet and nothing else of the workshop', async () => {
    const { token, coverId } = await make('sheet')
    expect(token).to.match(/^[\w-]{43}$/)
    const shown = await look(token)
    expect(shown.status).to.equal(200)
    expect(shown.headers.get('Cache-Control')).to.equal('no-store')
    expect(shown.body).to.have.all.keys('kind', 'expiresAt', 'file')
    expect(JSON.stringify(shown.body)).not.to.contain(coverId)
    const pdf = await app().requestBytes(
      'GET',
      `/api/shared/${token}/sheet.pdf?paper=letter`,
      undefined,
      stranger.workshop,
    )
    expect([pdf.status, pdf.bytes.subarray(0, 5).toString()]).to.deep.equal([200, '%PDF-'])
    expect((await app().request('GET', `/api/shared/${token}/sheet.pdf?paper=a9`, stranger)).status).to.equal(
      400,
    )
    // a link to look is none to write
    expect((await send(token, good)).status).to.equal(404)
  })

  it('ask for measurements with nothing that was measured or chosen beside them, and keep what was sent', async () => {
    const { token, coverId, share } = await make('measure')
    const shown = await look(token)
    expect(shown.body).to.deep.include({ kind: 'measure', triesLeft: 20, isAnswered: false })
    expect(shown.body)
      .to.have.nested.property('file.object')
      .that.deep.equals({ kind: 'notebook', readings: {} })
    expect((await app().request('GET', `/api/shared/${token}/sheet.pdf`, stranger)).status).to.equal(404)
    expect((await send(token, { ...good, note: 'with the elastic on' })).status).to.equal(201)
    const [kept] = await linksOf(coverId)
    expect(kept?.answer).to.deep.include({ unit: 'in', readings: good.readings, note: 'with the elastic on' })
    expect(kept?.triesLeft).to.equal(19)
    // sent again, it is what holds
    expect((await send(token, { unit: 'mm', readings: { height: ['210'] } })).status).to.equal(201)
    expect((await look(token)).body).to.deep.include({ isAnswered: true, triesLeft: 18 })
    expect(((await linksOf(coverId))[0]?.answer as OwnersAnswer).unit).to.equal('mm')
    expect((await app().request('DELETE', `/api/shares/${share.id}/answer`)).status).to.equal(200)
    expect((await linksOf(coverId))[0]?.answer).to.equal(null)
  })

  it('check what is sent as strictly as the workshop’s own, each a try, and change nothing by it', async () => {
    const { token, coverId } = await make('measure')
    for (const [body, words] of [
      [{ unit: 'in', readings: { height: ['tall'] } }, /readings.height/],
      [{ unit: 'ell', readings: good.readings }, /unit/],
      [{ unit: 'in', readings: {} }, /Expected a measurement/],
      [{ unit: 'in', readings: { girth: ['9'] } }, /girth/],
      [{ unit: 'in', readings: good.readings, thingId: 1 }, /thingId/],
      [{ unit: 'in', readings: good.readings, note: 'x'.repeat(301) }, /note/],
      [{ unit: 'in', readings: { height: Array.from({ length: 21 }, () => '8') } }, /height/],
      [[], /./],
    ] as const) {
      const refused = await send(token, body)
      expect(refused.status, JSON.stringify(body)).to.equal(422)
      expect(refused.body.detail).to.match(words)
    }
    const [link] = await linksOf(coverId)
    expect([link?.triesLeft, link?.answer]).to.deep.equal([12, null])
    expect((await send(token, { ...good, note: 'x'.repeat(20_000) })).status).to.equal(413)
  })

  it('lead nowhere once they are taken back, too old, used up, or their cover is gone, and nobody is told which', async () => {
    const { shares } = app().repositories
    const nowhere = async (token: string) => {
      const [looked, sent] = [await look(token), await send(token, good)]
      expect([looked.status, sent.status]).to.deep.equal([404, 404])
      return looked.body.detail
    }
    const revoked = await make('measure')
    expect((await app().request('DELETE', `/api/shares/${revoked.share.id}`)).status).to.equal(200)
    const old = await make('measure')
    await app().database.models.Share.update(
      { expiresAt: new Date(Date.now() - 1000) },
      { where: { id: old.share.id } },
    )
    const usedUp = await make('measure')
    for (let n = 0; n < 20; n++) expect(await shares.use(usedUp.token, 'measure')).not.to.equal(undefined)
    const gone = await make('measure')
    await app().repositories.covers.remove(app().ours, gone.coverId, 1)
    const unknown = Buffer.alloc(32, 7).toString('base64url')
    const said = new Set<string>()
    for (const token of [
      revoked.token,
      old.token,
      usedUp.token,
      gone.token,
      unknown,
      'short',
      `${old.token}x`,
    ])
      said.add(await nowhere(token))
    expect(said.size).to.equal(1)
    expect(await linksOf(usedUp.coverId)).to.deep.equal([])
    expect(await linksOf(revoked.coverId)).to.deep.equal([])
  })

  it('are never used oftener than they may be, however many come at once', async () => {
    const { token } = await make('measure')
    const answers = await Promise.all(Array.from({ length: 30 }, () => send(token, good)))
    expect(answers.filter(({ status }) => status === 201)).to.have.length(20)
    expect(answers.filter(({ status }) => status === 404)).to.have.length(10)
  })

  it('keep no token, and are no other workshop’s to see or take back', async () => {
    const { token, share, coverId } = await make('sheet')
    const row = await app().database.models.Share.findByPk(share.id, { raw: true })
    expect(JSON.stringify(row)).not.to.contain(token)
    const them = { workshop: app().theirs }
    expect((await app().request('GET', `/api/shares?cover=${coverId}`, them)).body.items).to.deep.equal([])
    expect((await app().request('DELETE', `/api/shares/${share.id}`, them)).status).to.equal(404)
    expect((await app().request('DELETE', `/api/shares/${share.id}/answer`, them)).status).to.equal(404)
    expect(
      (await app().request('POST', '/api/shares', { body: { kind: 'sheet', coverId }, ...them })).status,
    ).to.equal(404)
    expect((await look(token)).status).to.equal(200)
  })

  it('are made as asked, or refused in words', async () => {
    const { share } = await make('sheet', { days: 1 })
    const lasts = Date.parse(share.expiresAt) - Date.parse(share.createdAt)
    expect(lasts).to.equal(86_400_000)
    const cover = await app().request('POST', '/api/covers', { body: coverBody() })
    for (const more of [{ days: 0 }, { days: 91 }, { kind: 'all' }, { token: 'mine' }]) {
      const body = { kind: 'sheet', coverId: cover.body.id, ...more }
      expect((await app().request('POST', '/api/shares', { body })).status).to.equal(422)
    }
    expect((await app().request('GET', '/api/shares?cover=x')).status).to.equal(400)
    expect((await app().request('DELETE', '/api/shares/x')).status).to.equal(404)
  })
})
