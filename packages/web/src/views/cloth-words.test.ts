import { expect } from 'chai'
import { clothLength, describeCloth, usualCloth } from './cloth-words.js'

describe('an area of cloth', () => {
  it('is said as a length off cloth of the usual width, rounded up', () => {
    // 42 in · 10 in = 420 in² = 0.27097 m²; a hair more is 10 1/4
    expect(clothLength(420 * 0.0254 * 0.0254, 'in')).to.equal('10\u00a0in')
    expect(clothLength(421 * 0.0254 * 0.0254, 'in')).to.equal('10\u00a01\u20444\u00a0in')
    // 0.3 m² / 1.1 m = 27.3 cm
    expect(clothLength(0.3, 'mm')).to.equal('28 cm')
    expect(clothLength(0.3, 'cm')).to.equal('28 cm')
  })

  it('names the width', () => {
    expect([usualCloth('in'), usualCloth('mm')]).to.deep.equal(['42 in', '110 cm'])
    expect(describeCloth(0.3, 'mm')).to.equal('28 cm of 110 cm cloth')
  })
})
