import { expect } from 'chai'
import { typeset } from './typeset.js'

describe('setting fractions in plain words', () => {
  it('turns plain fractions into proper ones, the whole number kept beside them', () => {
    expect(typeset('expected 3/8 in to 47 1/4 in.')).to.equal('expected 3⁄8 in to 47\u00a01⁄4 in.')
  })

  it('leaves what was typed as it was typed', () => {
    expect(typeset('“93/8” is more than a whole: did you mean 9 3/8?')).to.equal(
      '“93/8” is more than a whole: did you mean 9\u00a03⁄8?',
    )
  })

  it('changes nothing else', () => {
    expect(typeset('Width 12 in, and/or 3 of 4')).to.equal('Width 12 in, and/or 3 of 4')
  })
})
