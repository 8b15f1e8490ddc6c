import { expect } from 'chai'
import { settleSamples } from './settle.js'

describe('what a digital tape saw', () => {
  it('is the middle of its samples, whatever their order', () => {
    expect(settleSamples([222.1, 222.4, 222.2])).to.deep.equal({ kind: 'read', mm: 222.2 })
    // (222.1 + 222.3) / 2
    const even = settleSamples([222.3, 222.1])
    expect(even.kind === 'read' && even.mm).to.be.closeTo(222.2, 1e-9)
    expect(settleSamples([9])).to.deep.equal({ kind: 'read', mm: 9 })
  })

  it('is no reading where the hand moved by more than a millimetre', () => {
    expect(settleSamples([222, 223, 222.5]).kind).to.equal('read')
    expect(settleSamples([222, 224.5, 223])).to.deep.equal({ kind: 'moved', spreadMm: 2.5 })
  })

  it('is nothing where one of them is no length', () => {
    for (const samples of [[], [Number.NaN, 222], [0], [-3, 222], [222, 99_999]])
      expect(settleSamples(samples)).to.deep.equal({ kind: 'nothing' })
  })
})
