import { expect } from 'chai'
import type { TypedObject } from '../file/cover-schema.js'
import { takeStandardSize } from '../file/take-standard-size.js'
import { coverFrom, familyFile, planFrom } from '../file/testing/cover-files.js'
import { mm, toMm } from '../length/length.js'
import { standardPages, standardThings } from './standard-sizes.js'
import { deriveUncertainty } from './uncertainty.js'

const a5 = standardThings.find(({ id }) => id === 'a5-exercise')
if (!a5) throw new Error('No exercise book')

describe('standard sizes', () => {
  it('are told apart, and upright', () => {
    const all = [...standardThings, ...standardPages]
    expect(new Set(all.map(({ id }) => id)).size).to.equal(all.length)
    for (const { readings } of all) {
      const [high = mm(0), wide = mm(0)] = [
        readings.height ?? readings.pageHeight,
        readings.width ?? readings.pageWidth,
      ]
      expect(high).to.be.above(wide)
    }
  })

  it('stand among the readings as what they are, and count as another copy', () => {
    const thing: TypedObject = { kind: 'notebook', readings: { wrap: ['300 mm'], height: ['9'] } }
    const taken = takeStandardSize(thing, a5, 'mm')
    expect(taken.readings).to.deep.equal({
      wrap: ['300 mm'],
      height: [{ value: '210 mm', state: 'standard-size' }],
      width: [{ value: '148 mm', state: 'standard-size' }],
      thickness: [{ value: '4 mm', state: 'standard-size' }],
    })
    const file = familyFile('slip-cover', { object: taken })
    // 1 mm/√12, twice
    expect(toMm(deriveUncertainty(coverFrom(file).object, 'height') ?? mm(0))).to.be.closeTo(
      2 / Math.sqrt(12),
      1e-3,
    )
    expect(planFrom(file).pieces).to.have.length.above(0)
  })

  it('are written in the workshop’s unit, to the last 64th', () => {
    const letter = standardThings.find(({ id }) => id === 'letter-book')
    if (!letter) throw new Error('No letter')
    expect(takeStandardSize({ kind: 'notebook' }, letter, 'in').readings?.width).to.deep.equal([
      { value: '8 1/2 in', state: 'standard-size' },
    ])
  })
})
