import { randomUUID } from 'node:crypto'
import { expect } from 'chai'
import { ensureWorkshop } from './db/repositories/workshops.js'
import { materialBody } from './testing/bodies.js'
import { useTestApp, type Answer } from './testing/test-database.js'

describe('a stash as a table', function () {
  this.timeout(180_000)
  const app = useTestApp()
  const itemsOf = ({ body }: Answer) =>
    body.items as unknown as readonly { readonly width: string; readonly length: string }[]
  const createMaterial = async () =>
    (await app().request('POST', '/api/materials', { body: materialBody })).body.id
  async function addPiece(materialId: string, width: string, length: string): Promise<void> {
    const body = { source: 'remnant', width, length }
    expect((await app().request('POST', `/api/materials/${materialId}/pieces`, { body })).status).to.equal(
      201,
    )
  }

  it('goes out as CSV and comes in again', async () => {
    const material = await createMaterial()
    await addPiece(material, '500', '700')
    const out = await app().requestBytes('GET', '/api/stash.csv')
    const csv = out.bytes.toString('utf8')
    const line = csv.split('\r\n').find(text => text.includes('remnant,500,700')) ?? ''
    expect(line).to.match(/^Moss twill,outer,mm,0\.4,#33665a/)
    const post = (text: string) =>
      app().requestBytes('POST', '/api/stash.csv', Buffer.from(text), app().theirs)
    const before = itemsOf(await app().request('GET', '/api/materials', { workshop: app().theirs })).length
    expect((await post(`${csv.split('\r\n')[0] ?? ''}\r\n${line}\r\n`)).status).to.equal(201)
    const after = itemsOf(await app().request('GET', '/api/materials', { workshop: app().theirs }))
    expect(after).to.have.length(before + 1)
    const pieces = itemsOf(await app().request('GET', '/api/stash/pieces', { workshop: app().theirs }))
    expect(pieces[0]).to.include({ width: '500', length: '700' })
    const bad = await post(
      'name,role,thickness,pieceSource,pieceWidth\nFelt,outer,1 mm,remnant,x\nSilk,sail,1 mm,,\n',
    )
    expect(bad.status).to.equal(422)
    expect(bad.bytes.toString('utf8')).to.contain('line 3').and.to.contain('line 2')
    expect((await post('colour,size\nred,3\n')).bytes.toString('utf8')).to.contain(
      'Expected columns among name',
    )
    expect(itemsOf(await app().request('GET', '/api/materials', { workshop: app().theirs }))).to.have.length(
      before + 1,
    )
  })

  it('takes its own table in again without doubling anything, and of a longer one what is more', async () => {
    const workshop = await ensureWorkshop(app().database.models, `own-${randomUUID()}`, randomUUID)
    const stash = async () => [
      itemsOf(await app().request('GET', '/api/materials?limit=100', { workshop })).length,
      itemsOf(await app().request('GET', '/api/stash/pieces?limit=100', { workshop })).length,
    ]
    const post = async (text: string, query = '') => {
      const answer = await app().requestBytes('POST', `/api/stash.csv${query}`, Buffer.from(text), workshop)
      return [answer.status, JSON.parse(answer.bytes.toString('utf8')) as object] as const
    }
    const columns = 'name,role,thickness,pieceSource,pieceWidth,pieceLength\n'
    const table = `${columns}Moss,outer,0.3 mm,remnant,18,21\nMoss,outer,0.3 mm,remnant,18,21\nFog,lining,0.3 mm,,,\n`
    expect(await post(table)).to.deep.equal([201, { added: 2, known: 0, pieces: 0 }])
    const before = await stash()
    expect(before).to.deep.equal([2, 2])
    const out = await app().requestBytes('GET', '/api/stash.csv', undefined, workshop)
    expect(await post(out.bytes.toString('utf8'))).to.deep.equal([201, { added: 0, known: 2, pieces: 0 }])
    expect(await stash()).to.deep.equal(before)
    // 457.2 mm are 18 in: the same piece; the third is more
    const more = `${columns}moss,outer,0.3 mm,remnant,457.2 mm,21 in\nmoss,outer,0.3 mm,remnant,18,21\nmoss,outer,0.3 mm,remnant,18,21\n`
    expect(await post(more)).to.deep.equal([201, { added: 0, known: 1, pieces: 1 }])
    expect(await stash()).to.deep.equal([2, 3])
  })

  it('takes a table whose columns are matched to its own', async () => {
    const post = (text: string, columns: object | string) =>
      app().requestBytes(
        'POST',
        `/api/stash.csv?columns=${encodeURIComponent(typeof columns === 'string' ? columns : JSON.stringify(columns))}`,
        Buffer.from(text),
      )
    const plain = 'Name,Width,Length\nShelf find,18,21\n'
    const refused = await app().requestBytes('POST', '/api/stash.csv', Buffer.from(plain))
    expect(JSON.parse(refused.bytes.toString('utf8'))).to.deep.include({
      headings: ['Name', 'Width', 'Length'],
    })
    const match = { Name: 'name', Width: 'pieceWidth', Length: 'pieceLength' }
    expect((await post(plain, match)).status).to.equal(201)
    expect((await post(plain, { Name: 'sail' })).status).to.equal(400)
    expect((await post(plain, '{')).status).to.equal(400)
  })

  it('writes what a spreadsheet would run as text', async () => {
    const body = { ...materialBody, material: { ...materialBody.material, name: '=1+1' } }
    await app().request('POST', '/api/materials', { body })
    const csv = (await app().requestBytes('GET', '/api/stash.csv')).bytes.toString('utf8')
    expect(csv).to.contain("'=1+1,outer")
  })
})
