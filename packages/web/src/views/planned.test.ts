import { expect } from 'chai'
import { coverFile } from '../testing/files.js'
import { plannedOf } from './planned.js'

const planner = (readings: Readonly<Record<string, string[]>>) =>
  plannedOf(coverFile({ object: { kind: 'planner', spine: 'coil', readings } }))

describe('what a file comes to while it is typed', () => {
  it('is no plan while a coil is not measured, and no word of what was', () => {
    const sides = { height: ['8 5/8'], width: ['7 1/4'], thickness: ['3/4'] }
    expect(planner(sides).plan).to.equal(undefined)
    expect(planner(sides).missing).to.deep.equal([[['coilDiameter'], ['wrap']]])
    expect(planner({ ...sides, coilDiameter: ['1 1/8'] }).plan).not.to.equal(undefined)
    expect(planner({ ...sides, wrap: ['16'] }).plan).not.to.equal(undefined)
  })

  it('keeps the cover without what is unread, so that its tape and its thing are known', () => {
    const { cover, plan, issues } = plannedOf(coverFile({ seam: '1/' }))
    expect(cover?.object.kind).to.equal('hardcover')
    expect(plan).to.equal(undefined)
    expect(issues.map(({ path, unread }) => [path, unread])).to.deep.equal([['seam', true]])
  })

  it('plans again as soon as it can be read', () => {
    expect(plannedOf(coverFile({ seam: '1/4' })).plan?.findings).to.be.an('array')
    expect(plannedOf(coverFile({ seam: '1/4' })).issues).to.deep.equal([])
  })
})
