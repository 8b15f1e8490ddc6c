import { randomUUID } from 'node:crypto'
import { expect } from 'chai'
import { ensureWorkshop } from './db/repositories/workshops.js'
import { useTestApp } from './testing/test-database.js'

describe('books and devices as a table', function () {
  this.timeout(180_000)
  const app = useTestApp()
  const newWorkshop = () => ensureWorkshop(app().database.models, `own-${randomUUID()}`, randomUUID)
  const post = async (workshop: string, text: string, query = '') => {
    const answer = await app().requestBytes('POST', `/api/things.csv${query}`, Buffer.from(text), workshop)
    return [answer.status, JSON.parse(answer.bytes.toString('utf8')) as Record<string, unknown>] as const
  }
  const thingsOf = async (workshop: string) =>
    (await app().repositories.things.list(workshop, { limit: 100 })).items.map(({ name, unit, object }) => ({
      name,
      unit,
      object,
    }))

  it('come in with their readings as they were typed, several of one measure parted by semicolons', async () => {
    const workshop = await newWorkshop()
    const table = [
      'name,kind,unit,height,width,thickness,boardThickness',
      '"Hut ledger",hardcover,in,9 3/8; 9 5/16,6 5/8,1 3/16,1/8',
      'Night reader,tablet,mm,174,"116,5",,',
      'Rota,planner,,8 1/2,7,,',
    ].join('\n')
    expect(await post(workshop, table)).to.deep.equal([201, { added: 3, known: 0 }])
    expect(await thingsOf(workshop)).to.deep.include.members([
      {
        name: 'Hut ledger',
        unit: 'in',
        object: {
          kind: 'hardcover',
          readings: {
            height: ['9 3/8', '9 5/16'],
            width: ['6 5/8'],
            thickness: ['1 3/16'],
            boardThickness: ['1/8'],
          },
        },
      },
      {
        name: 'Night reader',
        unit: 'mm',
        object: { kind: 'tablet', readings: { height: ['174'], width: ['116,5'] } },
      },
      {
        name: 'Rota',
        unit: 'in',
        object: { kind: 'planner', spine: 'coil', readings: { height: ['8 1/2'], width: ['7'] } },
      },
    ])
  })

  it('go out and come in again without doubling, elsewhere as they were', async () => {
    const [from, into] = [await newWorkshop(), await newWorkshop()]
    await post(
      from,
      'name,kind,unit,height,foldsBack,edges\n=Snow log,notebook,mm,210,no,\nReader,tablet,in,7,,round\n',
    )
    const out = (await app().requestBytes('GET', '/api/things.csv', undefined, from)).bytes.toString('utf8')
    expect(out).to.contain("'=Snow log,notebook")
    expect(await post(from, out)).to.deep.equal([201, { added: 0, known: 2 }])
    expect(await post(into, out)).to.deep.equal([201, { added: 2, known: 0 }])
    expect(await thingsOf(into)).to.have.deep.members(await thingsOf(from))
  })

  it('are matched where they are headed otherwise, and are of the kind that is said for all', async () => {
    const workshop = await newWorkshop()
    const plain = 'Title,H,W,Shelf\nTrail notes,210 mm,148 mm,top\n'
    const [status, refused] = await post(workshop, plain)
    expect([status, refused.headings]).to.deep.equal([422, ['Title', 'H', 'W', 'Shelf']])
    const columns = encodeURIComponent(JSON.stringify({ Title: 'name', H: 'height', W: 'width' }))
    expect((await post(workshop, plain, `?columns=${columns}&kind=notebook`))[0]).to.equal(201)
    expect((await thingsOf(workshop))[0]?.object).to.deep.equal({
      kind: 'notebook',
      readings: { height: ['210 mm'], width: ['148 mm'] },
    })
    expect((await post(workshop, plain, `?columns=${columns}&kind=sail`))[0]).to.equal(400)
    expect((await post(workshop, plain, '?columns={"Title":"sail"}'))[0]).to.equal(400)
  })

  it('are refused line by line, all or nothing', async () => {
    const workshop = await newWorkshop()
    const [status, { detail }] = await post(
      workshop,
      'name,kind,height\nGood,notebook,210 mm\nBad,sail,210 mm\nWorse,notebook,tall\n,notebook,9\n',
    )
    expect(status).to.equal(422)
    for (const words of ['line 3, object.kind', 'line 4, object.readings.height', 'line 5, name'])
      expect(detail).to.contain(words)
    expect(await thingsOf(workshop)).to.deep.equal([])
    expect((await post(workshop, 'kind,height\nnotebook,9\n'))[0]).to.equal(422)
    expect((await post(workshop, 'x'.repeat(1024 * 1024 + 1)))[0]).to.equal(413)
  })
})
