import { expect } from 'chai'
import { isByLength, pricedBy, shownPrice, toCents, writtenPrice } from './price-words.js'

describe('what a price is of', () => {
  it('is a yard where one measures in inches, a sheet of board, a piece of what is counted', () => {
    expect(pricedBy('outer', undefined, 'in')).to.equal('yard')
    expect(pricedBy('outer', undefined, 'cm')).to.equal('metre')
    expect(pricedBy('trim', 'ribbon', 'mm')).to.equal('metre')
    expect(pricedBy('board', undefined, 'in')).to.equal('sheet')
    expect(pricedBy('trim', 'button', 'in')).to.equal('piece')
  })

  it('goes by length only where the thing does', () => {
    const goes = [isByLength('outer', undefined), isByLength('trim', 'cord')]
    expect(goes).to.deep.equal([true, true])
    expect([isByLength('trim', 'zip'), isByLength('card', undefined)]).to.deep.equal([false, false])
  })

  it('is shown in the unit of now, and kept as it was written', () => {
    const cloth = { role: 'outer', notion: undefined, written: 'cm', unit: 'in' } as const
    // 10 a metre are 9.144 a yard
    expect(shownPrice(10, cloth)).to.be.closeTo(9.144, 1e-9)
    expect(writtenPrice(9.144, cloth)).to.be.closeTo(10, 1e-9)
    expect(shownPrice(3, { ...cloth, role: 'board' })).to.equal(3)
  })

  it('is said to the hundredth', () => {
    expect([toCents(9.144), toCents(0.005), toCents(12)]).to.deep.equal([9.14, 0.01, 12])
  })
})
