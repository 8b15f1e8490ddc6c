import { expect } from 'chai'
import fc from 'fast-check'
import { mm, toMm, zero } from '../length/length.js'
import { isCuttable, type Piece } from './piece.js'
import { beforeQuilting } from './quilting.js'
import { because, less, totalOf, twice } from './reason.js'
import { sideRoundedDown, sideRoundedUp } from './side.js'

describe('reasons', () => {
  it('add up, and leave out what is nothing', () => {
    // 100 + 2·6 − 3 = 109
    const reasons = [
      ...because('height', mm(100)),
      ...twice('seam', mm(6)),
      ...less('inset', mm(3)),
      ...because('board', zero),
    ]
    expect(toMm(totalOf(reasons))).to.equal(109)
    expect(reasons.map(({ label }) => label)).to.deep.equal(['height', 'seam, twice', 'inset'])
    expect(totalOf([])).to.equal(zero)
  })
})

describe('a side', () => {
  const reasons = because('needed', mm(100.4))

  it('is cut up where it goes round, and down where it must stay inside', () => {
    expect(toMm(sideRoundedUp(reasons, mm(1)).cut)).to.equal(101)
    expect(toMm(sideRoundedDown(reasons, mm(1)).cut)).to.equal(100)
    expect(toMm(sideRoundedUp(reasons, mm(5)).cut)).to.equal(105)
  })

  it('keeps its exact size beside its cut', () => {
    const side = sideRoundedUp(reasons, mm(2))
    expect([toMm(side.exact), toMm(side.cut)]).to.deep.equal([100.4, 102])
  })
})

describe('a quilted ply', () => {
  it('is cut larger by what quilting takes up, and by half an inch to trim', () => {
    // 300/(1 − 0.04) = 312.5; + 12 = 324.5 mm; in inches + 12.7 = 325.2
    expect(toMm(totalOf(beforeQuilting(because('size', mm(300)), 0.04, 'mm')))).to.be.closeTo(324.5, 1e-4)
    expect(toMm(totalOf(beforeQuilting(because('size', mm(300)), 0.04, 'in')))).to.be.closeTo(325.2, 1e-4)
  })

  it('comes back to at least its size when the quilting has taken its share', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 1200 }), fc.integer({ min: 0, max: 30 }), (size, percent) => {
        const cut = totalOf(beforeQuilting(because('size', mm(size)), percent / 100, 'mm'))
        expect(toMm(cut) * (1 - percent / 100)).to.be.at.least(size)
      }),
    )
  })
})

describe('a piece', () => {
  const side = (millimetres: number) => sideRoundedUp(because('size', mm(millimetres)), mm(1))
  const piece = (width: number, height: number): Piece => ({
    id: 'x',
    role: 'outer',
    count: 1,
    width: side(width),
    height: side(height),
  })

  it('can be cut while both its sides are longer than nothing', () => {
    expect(isCuttable(piece(10, 10))).to.equal(true)
    expect(isCuttable(piece(0, 10))).to.equal(false)
    expect(isCuttable(piece(10, -4))).to.equal(false)
  })
})
