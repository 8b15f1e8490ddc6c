import { expect } from 'chai'
import { coverBody } from './testing/bodies.js'
import { useTestApp } from './testing/test-database.js'

describe('taking a cover away', function () {
  this.timeout(180_000)
  const app = useTestApp()
  const { file } = coverBody({
    object: {
      kind: 'notebook',
      readings: { height: ['210'], width: ['148'], thickness: ['12'], wrap: ['310'] },
    },
  })
  const ask = (body: object) =>
    app().requestBytes('POST', '/api/exports', Buffer.from(JSON.stringify(body)), undefined, {
      'Content-Type': 'application/json',
    })

  it('gives the file as it is now, of the kind that was asked for', async () => {
    const sheet = await ask({ file, as: 'sheet', paper: 'letter', audience: 'sewist' })
    expect([sheet.status, sheet.bytes.subarray(0, 5).toString()]).to.deep.equal([200, '%PDF-'])
    const svg = await ask({ file, as: 'svg' })
    expect([svg.status, svg.bytes.subarray(0, 5).toString()]).to.deep.equal([200, '<?xml'])
  })

  it('is called after the cover, in letters that every header takes', async () => {
    const name = 'Größe "¾"\r\nSet-Cookie: x'
    const answer = await app().request('POST', '/api/exports', {
      body: { file: { ...file, name }, as: 'csv' },
    })
    expect(answer.status).to.equal(200)
    expect(answer.headers.get('Content-Type')).to.match(/^text\/csv/)
    const said = answer.headers.get('Content-Disposition') ?? ''
    expect(said).to.match(/^attachment; filename="[\w ,.-]+"; filename\*=UTF-8''[\w%.~!-]+$/)
    expect(answer.headers.get('Set-Cookie')).to.equal(null)
  })

  it('gives the card of a thing that nobody has measured yet, and nothing else of it', async () => {
    const unmeasured = { ...file, object: { kind: 'notebook', readings: {} } }
    expect((await ask({ file: unmeasured, as: 'card' })).status).to.equal(200)
    const labels = await ask({ file: unmeasured, as: 'labels' })
    expect(labels.status).to.equal(422)
    expect(labels.bytes.toString()).to.include('object.readings')
  })

  it('refuses what it does not know, with its place', async () => {
    for (const [body, place] of [
      [{ file, as: 'gif' }, 'as'],
      [{ file, as: 'sheet', paper: 'a9' }, 'paper'],
      [{ file, as: 'sheet', more: 1 }, 'more'],
      [{ as: 'sheet' }, 'file'],
      [{ file: { ...file, family: 'tent' }, as: 'sheet' }, 'family'],
    ] as const) {
      const answer = await ask(body)
      expect(answer.status, place).to.equal(422)
      expect(answer.bytes.toString()).to.include(place)
    }
  })

  it('leaves the server free for others meanwhile', async () => {
    await ask({ file, as: 'sheet' })
    let ticks = 0
    const clock = setInterval(() => ticks++, 5)
    const began = performance.now()
    await Promise.all(Array.from({ length: 4 }, () => ask({ file, as: 'sheet' })))
    const waited = performance.now() - began
    clearInterval(clock)
    expect(ticks, 'the clock went on').to.be.greaterThan(waited / 5 / 4)
  })
})
