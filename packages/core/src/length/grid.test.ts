import { expect } from 'chai'
import fc from 'fast-check'
import { cuttingGrids, defaultGrid, roundDownToGrid, roundUpToGrid } from './grid.js'
import { add, inches, mm, toMm, type Length } from './length.js'

const anyLength = fc.integer({ min: 1, max: 3_000_000 }).map(ticks => ticks as Length)
const anyGrid = fc.constantFrom(...cuttingGrids)

describe('the cutting grid', () => {
  it('is an eighth of an inch, or a millimetre', () => {
    expect(defaultGrid('in')).to.equal(inches(1 / 8))
    expect(defaultGrid('cm')).to.equal(mm(1))
  })

  it('rounds a size up to the next mark', () => {
    // 397.45 / 3.175 = 125.18 → 126 × 3.175 = 400.05 mm
    expect(toMm(roundUpToGrid(mm(397.45), inches(1 / 8)))).to.equal(400.05)
  })

  it('rounds down what must stay inside', () => {
    // 9.99 mm → 9; but 9.96 mm is within 0.05 of 10
    expect(toMm(roundDownToGrid(mm(9.9), mm(1)))).to.equal(9)
    expect(toMm(roundDownToGrid(mm(9.96), mm(1)))).to.equal(10)
  })

  it('forgives five hundredths of a millimetre and no more', () => {
    expect(toMm(roundUpToGrid(mm(10.05), mm(1)))).to.equal(10)
    expect(toMm(roundUpToGrid(mm(10.06), mm(1)))).to.equal(11)
  })

  it('never leaves the mark by a step or more, and never moves a size that is on it', () => {
    fc.assert(
      fc.property(anyLength, anyGrid, (length, grid) => {
        const up = roundUpToGrid(length, grid)
        const down = roundDownToGrid(length, grid)
        expect(up)
          .to.be.at.least(length - mm(0.05))
          .and.below(add(length, grid))
        expect(down)
          .to.be.at.most(length + mm(0.05))
          .and.above(length - grid)
        expect(roundUpToGrid(up, grid)).to.equal(up)
        expect(roundDownToGrid(up, grid)).to.equal(up)
      }),
    )
  })
})
