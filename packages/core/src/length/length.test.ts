import { expect } from 'chai'
import fc from 'fast-check'
import {
  add,
  clamp,
  endless,
  inches,
  mm,
  roundDownTo,
  roundTo,
  roundUpTo,
  scale,
  subtract,
  tick,
  toJsonMm,
  toMm,
  zero,
  type Length,
} from './length.js'
import { customary } from './unit.js'

const wholeLength = fc.integer({ min: 0, max: 2_000_000 }).map(ticks => ticks as Length)

describe('Length', () => {
  it('holds inches and millimetres without error', () => {
    // 8 3/4 in = 222.25 mm; 222.25 mm − 222 mm = 0.25 mm
    expect(toMm(inches(8.75))).to.equal(222.25)
    expect(toMm(subtract(inches(8.75), mm(222)))).to.equal(0.25)
    expect(inches(1 / 64) * 64).to.equal(inches(1))
  })

  it('rounds what is typed to the nearest tick of 1/320 mm', () => {
    // 0.28 mm × 320 = 89.6 → 90 ticks = 0.28125 mm
    expect(toMm(mm(0.28))).to.equal(0.28125)
  })

  it('carries millimetres with four decimals in JSON, and no negative zero', () => {
    // π × 2.821875 mm = 8.86518… mm
    expect(toJsonMm(scale(mm(2.821875), Math.PI))).to.equal(8.8652)
    expect(Object.is(toJsonMm(mm(-0)), 0)).to.equal(true)
  })

  it('adds up exactly in any order, irrational parts included', () => {
    fc.assert(
      fc.property(fc.array(wholeLength, { maxLength: 8 }), wholeLength, (lengths, body) => {
        const parts = [...lengths, scale(body, Math.PI), scale(body, 1 / 3)]
        expect(add(...parts)).to.equal(add(...[...parts].reverse()))
        const total = add(...parts)
        expect(parts.reduce((left, part) => subtract(left, part), total)).to.equal(zero)
      }),
    )
  })

  it('picks the metric twin of a customary amount by unit', () => {
    expect(toMm(customary(1 / 4, 'mm'))).to.equal(6)
    expect(toMm(customary(1 / 4, 'cm'))).to.equal(6)
    expect(toMm(customary(1 / 4, 'in'))).to.equal(6.35)
    expect(toMm(customary(10, 'cm'))).to.equal(250)
    // 7 in = 177.8 mm has no twin of its own: the nearest whole millimetre
    expect(toMm(customary(7, 'mm'))).to.equal(178)
  })

  it('goes up, down or to the nearest multiple of a step', () => {
    const step = inches(1 / 8)
    // 5/16 in lies between 2/8 and 3/8
    expect(roundUpTo(inches(5 / 16), step)).to.equal(inches(3 / 8))
    expect(roundDownTo(inches(5 / 16), step)).to.equal(inches(1 / 4))
    expect(roundTo(inches(9 / 32), step)).to.equal(inches(1 / 4))
    expect(roundTo(inches(11 / 32), step)).to.equal(inches(3 / 8))
    for (const round of [roundUpTo, roundDownTo, roundTo])
      expect(round(inches(1 / 2), step)).to.equal(inches(1 / 2))
    // a part of a tick is a whole one, or none
    expect([roundUpTo(scale(tick, 0.3), tick), roundDownTo(scale(tick, 0.7), tick)]).to.deep.equal([1, 0])
  })

  it('stays within bounds, at the lower where they leave no room', () => {
    expect([mm(-3), mm(5), mm(12)].map(length => clamp(length, zero, mm(10)))).to.deep.equal([
      zero,
      mm(5),
      mm(10),
    ])
    expect(clamp(mm(5), zero, mm(-2))).to.equal(zero)
    expect(clamp(mm(5), zero, endless)).to.equal(mm(5))
  })
})
