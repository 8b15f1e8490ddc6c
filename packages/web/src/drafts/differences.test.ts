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
    expect(added).to.deep.equal({ path: 'extras', mine: '–', theirs: 'tie-pair' })
  })

  it('speaks no ids and no code', () => {
    const plan = (pins: readonly object[], materialId: string | null) => ({
      plan: { pins, sources: { outer: { materialId, buy: materialId === null } } },
    })
    const uuid = '5f0f3d1e-8f59-4d2c-9f3a-2f1f2f3f4f5f'
    const pin = { piece: `${uuid} outer 1`, cloth: uuid, xMm: 3 }
    expect(listDifferences(plan([pin], uuid), plan([], null))).to.deep.equal([
      { path: 'pins › 1', mine: 'outer 1', theirs: '–' },
      { path: 'sources › outer › material id', mine: 'another', theirs: '–' },
      { path: 'sources › outer › buy', mine: 'no', theirs: 'yes' },
    ])
    const [sizing] = listDifferences({ sizing: { mode: 'rule', addWidth: '2' } }, {})
    expect(sizing).to.deep.equal({ path: 'sizing', mine: 'mode rule, add width 2', theirs: '–' })
  })

  it('stops at a dozen', () => {
    const many = (text: string) =>
      coverFile({ options: Object.fromEntries(Array.from({ length: 30 }, (_, n) => [`o${n}`, text])) })
    expect(listDifferences(many('a'), many('b'))).to.have.length(12)
  })
})
