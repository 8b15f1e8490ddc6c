import { expect } from 'chai'
import { materialBody } from './testing/bodies.js'
import { useTestApp } from './testing/test-database.js'

type Row = Readonly<Record<string, unknown>>

describe('what is marked on a piece of the stash', function () {
  this.timeout(180_000)
  const app = useTestApp()

  /** A piece of 50 by 70 cm, how to change it once, and how it stands. */
  async function aPiece() {
    const material = (await app().request('POST', '/api/materials', { body: materialBody })).body.id
    const size = { width: '50 cm', length: '70 cm' }
    const added = await app().request('POST', `/api/materials/${material}/pieces`, {
      body: { source: 'remnant', ...size },
    })
    expect(added.status).to.equal(201)
    const path = `/api/stash/pieces/${added.body.id}`
    return {
      put: (changes: object) =>
        app().request('PUT', path, {
          body: { source: 'garment', ...size, ...changes },
          headers: { 'If-Match': '"v1"' },
        }),
      stands: async () => {
        const items = (await app().request('GET', '/api/stash/pieces')).body
          .items as unknown as readonly Row[]
        return items.find(({ id }) => id === added.body.id)
      },
    }
  }

  it('keeps what is to be avoided, and refuses a place that lies beside it', async () => {
    const { put, stands } = await aPiece()
    const place = (x: string) => ({ x, y: '0', width: '2 cm', height: '70 cm' })
    expect((await put({ avoid: [place('50 cm')] })).body.detail).to.contain(
      'avoid[0].x: The piece ends at 500 mm; found a place to avoid that begins at 500 mm.',
    )
    expect((await put({ avoid: [{ ...place('1'), width: '' }] })).status).to.equal(422)
    expect((await put({ avoid: Array(101).fill(place('1 cm')) })).status).to.equal(422)
    expect(await stands()).to.include({ version: 1 })
    expect((await put({ avoid: [place('24 cm')] })).status).to.equal(200)
    expect(await stands()).to.deep.include({ version: 2, avoid: [place('24 cm')] })
  })

  it('keeps what is to be seen, and refuses a mark that lies beside it or has no name', async () => {
    const { put, stands } = await aPiece()
    const hut = { name: 'hut', what: 'motif', x: '10 cm', y: '5 cm', width: '8 cm', height: '6 cm' }
    expect((await put({ marks: [{ ...hut, y: '70 cm' }] })).body.detail).to.contain(
      'marks[0].y: The piece ends at 700 mm; found a mark that begins at 700 mm.',
    )
    expect((await put({ marks: [{ ...hut, name: ' ' }] })).status).to.equal(422)
    expect((await put({ marks: [{ ...hut, what: 'stain' }] })).status).to.equal(422)
    expect((await put({ marks: [hut] })).status).to.equal(200)
    expect(await stands()).to.deep.include({ version: 2, marks: [hut] })
  })
})
