import { inches, mm, namePiece, sayPlainly, zero } from '@snowdrift/core'
import { expect } from 'chai'
import { exportCover } from '../export-cover.js'
import { labelsOf } from '../lists/label.js'
import { madeFrom } from '../testing/made.js'
import { infoOf, wordsOf } from '../testing/poppler.js'
import { labelGrids } from './label-grid.js'
import { differs } from './labels.js'

describe('labels', function () {
  this.timeout(60_000)
  const made = madeFrom('hut-ledger')
  const { pieces } = made.plan
  const names = { cover: 'Hut ledger', nameOf: namePiece, clothOf: () => 'cotton', unit: 'in' } as const

  it('are one a piece, each with its size, its cloth and the cover', () => {
    const labels = labelsOf(pieces, names)
    expect(labels.map(({ name }) => name)).to.deep.equal(pieces.map(({ id }) => namePiece(id)))
    expect(labels[0]).to.include({ cover: 'Hut ledger', cloth: 'cotton', width: pieces[0]?.width.cut })
  })

  it('warn of pieces that are nearly as large, not of equal ones', () => {
    const [outer] = pieces
    if (!outer) throw new Error('No outer')
    const wider = (id: string, by: number) => ({
      ...outer,
      id,
      width: { ...outer.width, cut: (outer.width.cut + inches(by)) as typeof outer.width.cut },
    })
    const [first] = labelsOf([outer, wider('same', 0), wider('near', 1 / 2), wider('far', 9 / 16)], names)
    expect(first?.mixedUpWith).to.deep.equal([{ name: 'near', wider: inches(1 / 2), higher: zero }])
  })

  it('say how the other differs', () => {
    const say = sayPlainly('mm')
    expect(differs({ name: 'lining', wider: mm(3), higher: mm(-2) }, say)).to.equal(
      '3 mm wider, 2 mm less high',
    )
    expect(differs({ name: 'lining', wider: mm(-3), higher: zero }, say)).to.equal('3 mm narrower')
  })

  it('lie on their sheets without leaving them, none over another', () => {
    for (const { paper, columns, rows, from, size, pitch } of Object.values(labelGrids)) {
      const end = (axis: 0 | 1, count: number) => from[axis] + pitch[axis] * (count - 1) + size[axis]
      expect(from[0]).to.be.at.least(0)
      expect(end(0, columns)).to.be.at.most(paper.width + 1e-9)
      expect(end(1, rows)).to.be.at.most(paper.height + 1e-9)
      expect(pitch[0] >= size[0] && pitch[1] >= size[1]).to.equal(true)
    }
  })

  it('are printed on a sheet, or one a page for a label printer', async () => {
    const bytes = await exportCover('labels', made, { paper: 'a4' })
    expect(infoOf(bytes).pages).to.equal(1)
    for (const { id } of pieces) expect(wordsOf(bytes)).to.include(namePiece(id))
    expect(wordsOf(bytes).match(/outside/g)).to.have.length(pieces.length)
    const roll = infoOf(await exportCover('labels', made, { labels: 'roll' }))
    expect(roll.pages).to.equal(pieces.length)
    expect([Math.round(roll.width), Math.round(roll.height)]).to.deep.equal([62, 40])
  })
})
