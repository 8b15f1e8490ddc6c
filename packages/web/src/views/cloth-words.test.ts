import { inches, mm } from '@snowdrift/core'
import { expect } from 'chai'
import { clothLength, usualCloth } from './cloth-words.js'

describe('a length of cloth', () => {
  it('is said up to the next mark that a shop cuts by', () => {
    expect(clothLength(inches(10.5), 'in')).to.equal('10\u00a01\u20442\u00a0in')
    expect(clothLength(inches(10.51), 'in')).to.equal('10\u00a05\u20448\u00a0in')
    expect(clothLength(mm(271), 'cm')).to.equal('28\u00a0cm')
    expect(clothLength(mm(271), 'mm')).to.equal('280\u00a0mm')
  })

  it('is off cloth of the usual width', () => {
    expect([usualCloth('in'), usualCloth('cm'), usualCloth('mm')]).to.deep.equal([
      '42 in',
      '110 cm',
      '1100 mm',
    ])
  })
})
