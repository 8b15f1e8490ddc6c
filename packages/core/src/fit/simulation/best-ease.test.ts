import { expect } from 'chai'
import { chanceByEase, findBestEase, findMiddleEase } from './best-ease.js'

/** Eases that came out so, where 5 mm was planned. */
const eases = (...valuesMm: number[]) => ({
  valuesMm: Float64Array.from(valuesMm),
  plannedMm: 5,
  kept: new Uint8Array(valuesMm.length).fill(1),
})

describe('the chance by target ease', () => {
  it('counts the makes that would go on and not be baggy', () => {
    // errors −2, 0 and +2: at a target of 0 two of three are not below nothing, from 2 on all; at 28.5 one hangs slack
    const chances = chanceByEase(eases(3, 5, 7), { giveMm: 0, topMm: 28 })
    expect(chances[0]).to.be.closeTo(2 / 3, 1e-9)
    expect(chances[3]).to.be.closeTo(2 / 3, 1e-9)
    expect(chances[4]).to.equal(1)
    expect(chances[56]).to.be.closeTo(2 / 3, 1e-9)
  })

  it('is good enough at the tightest of 99 in a hundred, or else at the greatest', () => {
    expect(findBestEase([0.5, 0.98, 0.99, 1, 1])).to.equal(1)
    expect(findBestEase([0.5, 0.9, 0.8])).to.equal(0.5)
    expect(findBestEase([])).to.equal(0)
  })

  it('is most comfortable in the middle of what is as good as the best', () => {
    // steps 2, 3 and 4: the third of them, 3 · 0.5 mm
    expect(findMiddleEase([0, 0.7, 0.9, 0.9, 0.9, 0.6])).to.equal(1.5)
    expect(findMiddleEase([0.1, 0.9995, 1, 0.9995])).to.equal(1)
    expect(findMiddleEase([])).to.equal(0)
  })

  it('finds snug or easy by the bands: within 2 and 16 mm, give or take 2, the middle is 9', () => {
    const shares = chanceByEase(eases(3, 5, 7), { giveMm: -2, topMm: 16 })
    expect(findMiddleEase(shares)).to.equal(9)
  })
})
