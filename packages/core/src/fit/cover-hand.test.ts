import { expect } from 'chai'
import { readCover } from '../file/read-cover.js'
import { coverFrom, metricFile, planFrom } from '../file/testing/cover-files.js'
import { mm, toMm } from '../length/length.js'
import { totalOf } from '../piece/reason.js'
import { simulate } from '../simulate.js'
import { becauseOfHand, handOf } from './cover-hand.js'

const labels = (reasons: ReturnType<typeof becauseOfHand>) =>
  reasons.map(({ label, length }) => [label, toMm(length)])

describe('the hand that a cover is planned for', () => {
  it('takes at every seam what comes out wide, and gives back what is cut large', () => {
    // two seams half a millimetre wide: 1 mm more; two edges a quarter too large: half a millimetre less
    const reasons = becauseOfHand({ seamBias: mm(0.5), cutBias: mm(0.25) }, { seams: 2, edges: 2 })
    expect(labels(reasons)).to.deep.equal([
      ['your seams come out wide', 1],
      ['you cut a little large', -0.5],
    ])
    const other = becauseOfHand({ seamBias: mm(-0.5), cutBias: mm(-0.25) }, { seams: 2, edges: 2 })
    expect(labels(other)).to.deep.equal([
      ['your seams come out narrow', -1],
      ['you cut a little small', 0.5],
    ])
  })

  it('changes nothing where nothing is known, or nothing is sewn', () => {
    expect(becauseOfHand(undefined, { seams: 2, edges: 2 })).to.deep.equal([])
    expect(becauseOfHand({ seamBias: mm(1) }, { seams: 0, edges: 0 })).to.deep.equal([])
  })

  it('makes the outer so much larger before it is rounded, and says why', () => {
    const exact = (hand?: object) => {
      const plan = planFrom(metricFile(hand ? { hand } : {}))
      const outer = plan.pieces.find(({ id }) => id === 'outer')
      if (!outer) throw new Error('Every cover has an outer')
      return { outer, width: toMm(outer.width.exact), ease: plan.fits[0]?.ease ?? 0 }
    }
    const [usual, wide] = [exact(), exact({ seamBias: '0.8 mm' })]
    // two seams of 0.8 mm each
    expect(wide.width - usual.width).to.be.closeTo(1.6, 0.01)
    expect(wide.outer.width.reasons.map(({ label }) => label)).to.include('your seams come out wide')
    expect(usual.outer.width.reasons.map(({ label }) => label)).not.to.include('your seams come out wide')
    expect(totalOf(wide.outer.width.reasons)).to.equal(wide.outer.width.exact)
  })

  it('does not move what is set on the book itself', () => {
    const plan = (hand: object) => planFrom(metricFile({ family: 'turned-flap-cover', options: {}, ...hand }))
    const width = (hand: object) => plan(hand).fits.find(({ direction }) => direction === 'width')?.needed
    expect(width({ hand: { seamBias: '1 mm' } })).to.equal(width({}))
  })

  it('scatters as it was learnt to, and no more: a steady hand has the better chance', () => {
    // planned for next to no ease, so that much depends on the hand
    const file = metricFile({
      sizing: { mode: 'computed', easeWidth: '0 mm', easeHeight: '0 mm' },
      grid: '1 mm',
    })
    const chance = (hand?: object) =>
      simulate(coverFrom(hand ? { ...file, hand } : file), { makes: 20_000 })?.chance ?? 0
    const steady = chance({ seamScatter: '0.1 mm', cutScatter: '0.1 mm' })
    const shaky = chance({ seamScatter: '3 mm', cutScatter: '3 mm' })
    expect(steady).to.be.above(shaky + 0.02)
    expect(handOf({ hand: { seamScatter: mm(0.5) } })).to.include({ lineMm: 0.5, edgeMm: 0.8, seamBiasMm: 0 })
  })

  it('is refused by its place where no hand errs so', () => {
    const read = readCover({ ...metricFile(), hand: { seamBias: '9 mm' } })
    expect(read.ok ? [] : read.issues.map(({ path }) => path)).to.deep.equal(['hand.seamBias'])
    expect(readCover({ ...metricFile(), hand: { seamBias: '-0.4 mm' } }).ok).to.equal(true)
    expect(readCover({ ...metricFile(), hand: { thumbs: '1 mm' } }).ok).to.equal(false)
  })
})
