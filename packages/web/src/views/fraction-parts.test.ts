import { expect } from 'chai'
import { fractionParts } from './fraction-parts.js'

describe('fractionParts', () => {
  it('parts a fraction from its whole number and its unit', () => {
    expect(fractionParts('8\u00a03\u20444\u00a0in')).to.deep.equal([
      { text: '8\u00a0', fraction: false },
      { text: '3\u20444', fraction: true },
      { text: '\u00a0in', fraction: false },
    ])
  })

  it('leaves text without a fraction whole, and nothing of nothing', () => {
    expect(fractionParts('about 9 in, 3/4')).to.deep.equal([{ text: 'about 9 in, 3/4', fraction: false }])
    expect(fractionParts('')).to.deep.equal([])
  })

  it('loses no letter', () => {
    const text = 'from 1\u20442 to 15\u00a07\u204432 and back'
    expect(
      fractionParts(text)
        .map(part => part.text)
        .join(''),
    ).to.equal(text)
  })
})
