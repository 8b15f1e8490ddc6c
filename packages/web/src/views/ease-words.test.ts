import { inches, mm, units } from '@snowdrift/core'
import { expect } from 'chai'
import { axisSteps, easeStep, sayEase, saySpread, typeEase } from './ease-words.js'

describe('an ease that is reckoned in millimetres', () => {
  it('is said and typed in the workshop’s unit', () => {
    // 5/25.4 · 32 = 6.3 → 6/32
    expect(sayEase(5, 'in')).to.equal('3\u204416\u00a0in')
    expect(typeEase(5, 'in')).to.equal('3/16 in')
    expect([typeEase(5, 'mm'), typeEase(5, 'cm')]).to.deep.equal(['5 mm', '0.5 cm'])
  })

  it('keeps each step apart from the next', () => {
    for (const unit of units) {
      const typed = Array.from({ length: 40 }, (_, step) => typeEase(step * easeStep(unit), unit))
      expect(new Set(typed).size, unit).to.equal(40)
    }
  })
})

describe('an uncertainty', () => {
  it('is said in the workshop’s unit, and never as nothing', () => {
    // 1/16 in / √12 = 0.458 mm = 1.15/64
    expect(saySpread(mm(0.458), 'in')).to.equal('1\u204464\u00a0in')
    expect(saySpread(mm(0.1), 'in')).to.equal('under 1\u204464\u00a0in')
    expect(saySpread(mm(0.289), 'cm')).to.equal('0.03\u00a0cm')
    expect(saySpread(mm(0.289), 'mm')).to.equal('0.3\u00a0mm')
  })
})

describe('an axis', () => {
  it('steps by marks of the tape', () => {
    expect(axisSteps('in')[0]).to.equal(inches(1 / 16) / 320)
    expect(axisSteps('cm').slice(0, 3)).to.deep.equal([1, 2, 5])
  })
})
