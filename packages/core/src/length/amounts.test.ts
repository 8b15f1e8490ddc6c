import { expect } from 'chai'
import { sayAmounts } from './amounts.js'

describe('amounts of the craft in words', () => {
  it('are said in the workshop’s unit, each with its own twin', () => {
    expect(sayAmounts('{2 in} unless set.', 'in', 'plain')).to.equal('2 in unless set.')
    // not 50.8
    expect(sayAmounts('{2 in} unless set.', 'mm', 'plain')).to.equal('50 mm unless set.')
    expect(sayAmounts('{⅜ in} unless set.', 'cm', 'plain')).to.equal('1 cm unless set.')
    expect(sayAmounts('{1 ½ in}', 'in')).to.equal('1\u00a01\u20442\u00a0in')
  })

  it('keep both ends of a range', () => {
    expect(sayAmounts('flaps cut {8 to 8 ½ in}.', 'in', 'plain')).to.equal('flaps cut 8 to 8 1/2 in.')
    expect(sayAmounts('flaps cut {8 to 8 ½ in}.', 'mm', 'plain')).to.equal('flaps cut 203 to 216 mm.')
  })

  it('that are metric are said to the nearest sixteenth', () => {
    // 92/25.4 = 3.622: 3 5/8
    expect(sayAmounts('{92 mm} wide', 'in', 'plain')).to.equal('3 5/8 in wide')
    expect(sayAmounts('{92 mm} wide', 'mm', 'plain')).to.equal('92 mm wide')
  })
})
