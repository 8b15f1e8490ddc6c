import { inches, mm } from '@snowdrift/core'
import { expect } from 'chai'
import { coverFile } from '../../testing/files.js'
import { plannedOf } from '../../views/planned.js'
import { divisionOf, findingsAbout } from './cover-context.js'

describe('the finest mark of the tape', () => {
  const readings = { height: ['9 3/8'], width: ['6 5/8'], thickness: ['1'] }
  const fine = coverFile({ object: { kind: 'hardcover', tapeDivision: '1/32 in', readings } })

  it('is the one that the cover says, where it is in the unit that is shown', () => {
    expect(divisionOf(plannedOf(fine), 'in')).to.equal(inches(1 / 32))
    expect(divisionOf(plannedOf(coverFile()), 'in')).to.equal(inches(1 / 16))
  })

  it('is a mark of the tape of now where the workshop measures in another', () => {
    expect(divisionOf(plannedOf(fine), 'cm')).to.equal(mm(1))
    expect(divisionOf(plannedOf(coverFile({ unit: 'mm' })), 'in')).to.equal(inches(1 / 16))
    expect(divisionOf(plannedOf(coverFile({ family: 'tent' })), 'mm')).to.equal(mm(1))
  })
})

describe('the findings about a place', () => {
  it('are those of the plan, or of the readings before there is one', () => {
    const swapped = coverFile({
      object: { kind: 'hardcover', readings: { height: ['6 5/8'], width: ['9 3/8'] } },
    })
    expect(findingsAbout(plannedOf(swapped), 'reading:width').map(({ code }) => code)).to.deep.equal([
      'sides-swapped',
    ])
    expect(findingsAbout(plannedOf(swapped), 'reading:height', 'seam')).to.deep.equal([])
  })
})
