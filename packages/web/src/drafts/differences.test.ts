import { expect } from 'chai'
import { coverFile } from '../testing/files.js'
import { listDifferences } from './differences.js'

describe('what differs between two windows', () => {
  it('is nothing between equals', () => {
    expect(listDifferences(coverFile(), structuredClone(coverFile()))).to.deep.equal([])
  })

  it('is named by its place, with both values', () => {
    const mine = coverFile({ name: 'Mine', options: { flapDepth: '3' } })
    const theirs = coverFile({ name: 'Theirs', options: {} })
    expect(listDifferences(mine, theirs)).to.deep.equal([
      { path: 'name', mine: 'Mine', theirs: 'Theirs' },
      { path: 'options › flap depth', mine: '3', theirs: '–' },
    ])
  })

  it('counts places in lists from one, and names what stands only there', () => {
    const theirs = coverFile()
    const [lining, outer] = theirs.layers
    if (!lining || !outer) throw new Error('The file has two layers')
    const mine = coverFile({ layers: [{ ...lining, thickness: '0.3 mm' }, outer] })
    expect(listDifferences(mine, theirs)).to.deep.equal([
      { path: 'layers › 1 › thickness', mine: '0.3 mm', theirs: '0.28 mm' },
    ])
    const [added] = listDifferences(mine, { ...mine, extras: [{ type: 'tie-pair' }] })
    expect(added).to.deep.equal({ path: 'extras', mine: '–', theirs: '[{"type":"tie-pair"}]' })
  })

  it('stops at a dozen', () => {
    const many = (text: string) =>
      coverFile({ options: Object.fromEntries(Array.from({ length: 30 }, (_, n) => [`o${n}`, text])) })
    expect(listDifferences(many('a'), many('b'))).to.have.length(12)
  })
})
