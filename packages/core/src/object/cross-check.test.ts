import { expect } from 'chai'
import { checkReadings } from './cross-check.js'
import type { CoveredObject } from './reading.js'
import { objectWith } from './testing/objects.js'

function codes(object: CoveredObject, boardCounts = false): readonly string[] {
  return checkReadings(object, { boardCounts }).map(finding => finding.code)
}

describe('cross-checks of the readings', () => {
  it('wrap-impossible: less than both boards, and then wrap-disagrees is silent', () => {
    expect(codes(objectWith({ wrap: 299, width: 150, thickness: 20 }))).to.deep.equal(['wrap-impossible'])
    expect(codes(objectWith({ wrap: 300, width: 150 }))).to.deep.equal([])
  })

  it('wrap-disagrees: off by more than 3 mm and 1.5 %', () => {
    // expected 2 × 150 + 20 = 320; 1.5 % of 325 = 4.875 < 5; 1.5 % of 324.8 = 4.872 > 4.8
    expect(codes(objectWith({ wrap: 325, width: 150, thickness: 20 }))).to.deep.equal(['wrap-disagrees'])
    expect(codes(objectWith({ wrap: 324.8, width: 150, thickness: 20 }))).to.deep.equal([])
    // a small book: 2 × 50 + 5 = 105; 3 mm off is allowed, 3.2 is not
    expect(codes(objectWith({ wrap: 108, width: 50, thickness: 5 }))).to.deep.equal([])
    expect(codes(objectWith({ wrap: 108.2, width: 50, thickness: 5 }))).to.deep.equal(['wrap-disagrees'])
  })

  it('open-closed-differ: off by more than 6 mm and 3 %', () => {
    // 3 % of 320 = 9.6
    expect(codes(objectWith({ wrap: 320, openWidth: 310 }))).to.deep.equal(['open-closed-differ'])
    expect(codes(objectWith({ wrap: 320, openWidth: 311 }))).to.deep.equal([])
  })

  it('open-only: a book of 15 mm or more with no wrap', () => {
    expect(codes(objectWith({ openWidth: 320, thickness: 15 }))).to.deep.equal(['open-only'])
    expect(codes(objectWith({ openWidth: 320, thickness: 14.9 }))).to.deep.equal([])
  })

  it('sides-swapped: wider than high, but not for what may lie on its side', () => {
    expect(codes(objectWith({ width: 210, height: 150 }))).to.deep.equal(['sides-swapped'])
    expect(codes(objectWith({ width: 150, height: 150 }))).to.deep.equal([])
    expect(codes(objectWith({ width: 210, height: 150 }, { kind: 'tablet' }))).to.deep.equal([])
    expect(codes(objectWith({ width: 210, height: 150 }, { kind: 'journal' }))).to.deep.equal([])
  })

  it('readings-spread: more than 3 mm apart', () => {
    expect(codes(objectWith({ height: [200, 203.1] }))).to.deep.equal(['readings-spread'])
    expect(codes(objectWith({ height: [200, 203] }))).to.deep.equal([])
  })

  it('board-assumed: only where the board counts and was not read', () => {
    expect(codes(objectWith({}), true)).to.deep.equal(['board-assumed'])
    expect(codes(objectWith({ boardThickness: 2 }), true)).to.deep.equal([])
    expect(codes(objectWith({}), false)).to.deep.equal([])
  })
})
