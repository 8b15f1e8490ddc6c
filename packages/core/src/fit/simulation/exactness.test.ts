import { expect } from 'chai'
import { familyFile } from '../../file/testing/cover-files.js'
import { coverFrom } from '../../file/testing/cover-files.js'
import { zero } from '../../length/length.js'
import { simulate } from '../../simulate.js'
import { findExactness, type Tolerated } from './exactness.js'
import { isCareWasted, sayExactness } from './exactness-words.js'

/** A thousand makes, evenly from nothing to 10 mm. */
const evenly = Float64Array.from({ length: 1000 }, (_, index) => index / 100)
const sewn = { cutEdges: 2, seamLines: 2, foldLines: 0, takenUp: zero }
const gauge = (changes: Partial<Tolerated> = {}): Tolerated => ({
  direction: 'width',
  valuesMm: evenly,
  making: sewn,
  isRoom: false,
  parts: 1,
  stretches: [{ fromMm: 0, toMm: 20 }],
  ...changes,
})

describe('how exact each handwork must be', () => {
  it('is the error of it alone that loses one make in a hundred', () => {
    // a tenth of a millimetre loses ten of the thousand below; above 10.1 mm more those at the top begin to be baggy
    const [cut, seam, ...others] = findExactness([gauge()])
    expect(others).to.deep.equal([])
    expect(cut).to.include({ direction: 'width', handwork: 'cut' })
    expect(cut?.smallerMm).to.be.closeTo(0.1, 0.1)
    expect(cut?.largerMm).to.be.closeTo(10.1, 0.15)
    expect(seam).to.deep.equal({ ...cut, handwork: 'seam' })
  })

  it('is twice as much where two halves share it', () => {
    const [whole] = findExactness([gauge({ stretches: [{ fromMm: -1, toMm: 50 }] })])
    const [halves] = findExactness([gauge({ parts: 2, stretches: [{ fromMm: -1, toMm: 50 }] })])
    // 1.1 until ten of the thousand are gone, 2.2
    expect(whole?.smallerMm).to.be.closeTo(1.1, 0.15)
    expect(halves?.smallerMm).to.be.closeTo(2.2, 0.15)
  })

  it('is left out where nothing up to 2 in is too much, and where the hand does nothing of the kind', () => {
    const [cut] = findExactness([gauge({ stretches: [{ fromMm: -100, toMm: 100 }] })])
    expect(cut).to.deep.equal({ direction: 'width', handwork: 'cut' })
    const set = gauge({ making: { cutEdges: 0, seamLines: 0, foldLines: 2, takenUp: zero } })
    expect(findExactness([set]).map(({ handwork }) => handwork)).to.deep.equal(['fold'])
    expect(findExactness([])).to.deep.equal([])
  })

  it('knows that a fold set inwards gives to the flap what it takes from the body', () => {
    const folds = { cutEdges: 2, seamLines: 2, foldLines: 2, takenUp: zero }
    const flap = gauge({ making: folds, isRoom: true, parts: 2, stretches: [{ fromMm: 0, toMm: 1000 }] })
    const fold = findExactness([flap]).find(({ handwork }) => handwork === 'fold')
    // outwards 0.2 on the strip is 0.1 of a flap
    expect(fold?.largerMm).to.be.closeTo(0.2, 0.1)
    expect(fold).not.to.have.property('smallerMm')
  })

  it('comes with a simulation only where it is asked for, the same for the same seed', () => {
    const cover = coverFrom(familyFile('slip-cover'))
    expect(simulate(cover, { makes: 500 })).not.to.have.property('exactness')
    const asked = simulate(cover, { makes: 2000, exactness: true })?.exactness
    expect(asked).to.deep.equal(simulate(cover, { makes: 2000, exactness: true })?.exactness)
    expect(asked?.map(({ direction, handwork }) => `${handwork} ${direction}`)).to.have.members([
      'cut width',
      'seam width',
      'cut height',
      'seam height',
    ])
    for (const { smallerMm } of asked ?? []) expect(smallerMm).to.be.within(0.1, 10)
  })

  it('is said in what hands know', () => {
    expect(sayExactness(1.7, 'in')).to.equal('a sixteenth')
    expect(sayExactness(1.7, 'mm')).to.equal('a millimetre')
    expect(sayExactness(0.2, 'in')).to.equal('not a hair')
    expect(sayExactness(13, 'in')).to.equal('half an inch is fine')
    expect(sayExactness(undefined, 'in')).to.equal('does not matter')
    expect([isCareWasted(13), isCareWasted(undefined), isCareWasted(3)]).to.deep.equal([true, true, false])
  })
})
