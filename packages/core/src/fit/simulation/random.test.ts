import { expect } from 'chai'
import { createRandomStream, xoshiro128starstar } from './random.js'

const normals = (seed: number, name: string, count = 40_000) => {
  const draws = new Float64Array(count)
  createRandomStream(seed, name).fillNormal(draws)
  return draws
}
const meanOf = (draws: Float64Array, power = 1) =>
  draws.reduce((sum, draw) => sum + draw ** power, 0) / draws.length

describe('a stream of random numbers', () => {
  it('is the published generator', () => {
    // from the state 1, 2, 3, 4: rotl(2·5, 7)·9 = 11520, then 0, as worked by hand from the definition
    const next = xoshiro128starstar([1, 2, 3, 4])
    expect([next(), next(), next(), next()]).to.deep.equal([11520, 0, 5927040, 70819200])
  })

  it('is normal: mean 0, variance 1, no skew, fourth moment 3, within three standard errors', () => {
    const draws = normals(7, 'seams')
    // standard errors of the first four moments of n normal numbers: √(1, 2, 15, 96)/√n
    const error = (variance: number) => 3 * Math.sqrt(variance / draws.length)
    expect(meanOf(draws)).to.be.closeTo(0, error(1))
    expect(meanOf(draws, 2)).to.be.closeTo(1, error(2))
    expect(meanOf(draws, 3)).to.be.closeTo(0, error(15))
    expect(meanOf(draws, 4)).to.be.closeTo(3, error(96))
  })

  it('is uniform between −1 and 1', () => {
    const draws = new Float64Array(40_000)
    createRandomStream(3, 'stack').fillUniform(draws)
    expect(Math.min(...draws.subarray(0, 9000))).to.be.within(-1, -0.99)
    expect(Math.max(...draws.subarray(0, 9000))).to.be.within(0.99, 1)
    // variance 1/3, its standard error √(1/5 − 1/9)/√n
    expect(meanOf(draws, 2)).to.be.closeTo(1 / 3, 3 * Math.sqrt((1 / 5 - 1 / 9) / draws.length))
  })

  it('starts alike for the same seed and name, and else has nothing to do with another', () => {
    expect(normals(1, 'width', 8)).to.deep.equal(normals(1, 'width', 8))
    const width = normals(1, 'width')
    for (const other of [normals(2, 'width'), normals(1, 'height'), normals(1 + 2 ** 32, 'width')]) {
      const product = width.map((draw, index) => draw * (other[index] ?? 0))
      expect(meanOf(product)).to.be.closeTo(0, 3 / Math.sqrt(product.length))
    }
  })
})
