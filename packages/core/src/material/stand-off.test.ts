import { expect } from 'chai'
import fc from 'fast-check'
import { mm, toMm, zero } from '../length/length.js'
import type { Layer } from './layer.js'
import { flapStandOff, partOfStandOff, standOff, turnedEdgeLoss, turnOfCloth } from './stand-off.js'
import { layer } from './testing/layers.js'

const lining = layer('lining', 0.25)
const padding = layer('padding', 3, { squash: 0.4 })
const outer = layer('outer', 0.5)

describe('stand-off', () => {
  it('counts the inner plies pressed and half the outer', () => {
    // 0.25·(1 − 0) + 3·(1 − 0.4/2) + 0.5/2 = 0.25 + 2.4 + 0.25 = 2.9 mm
    expect(toMm(standOff([lining, padding, outer]))).to.equal(2.9)
  })

  it('does not press the outer, whatever its squash', () => {
    // 0.25 + 1/2 = 0.75 mm
    expect(toMm(standOff([lining, layer('outer', 1, { squash: 0.5 })]))).to.equal(0.75)
  })

  it('counts a folded flap from the board: one ply pressed, half a ply over it', () => {
    // 1·(1 − 0.5/2) + 1/2 = 1.25 mm
    const felt = layer('outer', 1, { squash: 0.5 })
    expect(toMm(flapStandOff({ style: 'folded', outer: felt, backings: [] }))).to.equal(1.25)
    // and fleece between its plies: + 3·0.8
    expect(toMm(flapStandOff({ style: 'folded', outer: felt, backings: [padding] }))).to.equal(3.65)
  })

  it('counts a faced flap with the lining pressed, and a missing lining as no ply', () => {
    // 0.5·(1 − 0.2/2) + 0.5/2 = 0.45 + 0.25 = 0.7 mm
    const facing = layer('lining', 0.5, { squash: 0.2 })
    expect(toMm(flapStandOff({ style: 'faced', outer, facing, backings: [] }))).to.equal(0.7)
    expect(toMm(flapStandOff({ style: 'faced', outer, backings: [] }))).to.equal(0.25)
  })

  it('counts what lies behind outer and lining twice, and what lies behind a flap not at all', () => {
    // 0.25 + 2·2.4 + 0.25 = 5.3; of it the padding 4.8
    const both = { ...padding, backs: ['outer', 'lining'] }
    expect(toMm(standOff([lining, both, outer]))).to.equal(5.3)
    expect(toMm(partOfStandOff([lining, both, outer], both))).to.equal(4.8)
    expect(toMm(standOff([lining, { ...padding, backs: ['flap'] }, outer]))).to.equal(0.5)
    // a lining that is not there backs nothing
    expect(toMm(standOff([both, outer]))).to.equal(2.65)
  })

  it('never shrinks when a ply grows thicker', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }), (a, b) => {
        const thinner = layer('padding', Math.min(a, b) / 10, { squash: 0.3 })
        const thicker = layer('padding', Math.max(a, b) / 10, { squash: 0.3 })
        expect(standOff([thicker, outer])).to.be.at.least(standOff([thinner, outer]))
      }),
    )
  })

  it('turns two corners at π·s', () => {
    // π × 2.9 = 9.1106 mm
    expect(toMm(turnOfCloth(mm(2.9)))).to.be.closeTo(9.1106, 1e-4)
  })
})

describe('turned-edge loss', () => {
  const seam = mm(6)
  const loss = (...stack: Layer[]) => toMm(turnedEdgeLoss(stack, seam))

  it('is half a millimetre for thin cloth, one for thick', () => {
    expect(loss(lining, outer)).to.equal(0.5)
    expect(loss(layer('outer', 0.6))).to.equal(0.5)
    expect(loss(layer('outer', 0.75))).to.equal(1)
  })

  it('is a millimetre more where padding is caught in the seam', () => {
    expect(loss({ ...padding, inset: zero }, outer)).to.equal(1.5)
    expect(loss({ ...padding, inset: mm(5.9) }, outer)).to.equal(1.5)
    expect(loss({ ...padding, inset: seam }, outer)).to.equal(0.5)
  })
})
