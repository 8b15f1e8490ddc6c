import { coverFile } from '../../../testing/files.js'
import { readCover, simulate } from '@snowdrift/core'
import { expect } from 'chai'
import { easeAxis, easeBars, namedBounds, type EaseBar } from './ease-bars.js'

const bar = (fromMm: number, verdict: EaseBar['verdict']): EaseBar => ({ fromMm, ofHundred: 1, verdict })

const easeOdds = () => {
  const read = readCover(coverFile({ sizing: { mode: 'computed', easeWidth: '3 mm' } }))
  const [width] = (read.ok && simulate(read.value, { makes: 5000 })?.directions) || []
  if (!width) throw new Error('No width')
  return width
}

describe('the columns of the ease', () => {
  it('hold all makes, and as many in each verdict as the verdicts say', () => {
    const width = easeOdds()
    const { bars } = easeBars(width, 5000)
    expect(bars.length).to.be.at.most(25)
    expect(bars.reduce((sum, { ofHundred }) => sum + ofHundred, 0)).to.be.closeTo(100, 1e-9)
    const snug = bars
      .filter(({ verdict }) => verdict === 'snug')
      .reduce((sum, { ofHundred }) => sum + ofHundred, 0)
    expect(snug).to.be.closeTo((width.verdicts.snug ?? 0) * 100, 1e-9)
  })

  it('are joined on marks of their own step, losing no make', () => {
    // 70 columns of 0.25 from −1.25: three to one, 0.75 wide, from −1.5
    const histogram = { fromMm: -1.25, stepMm: 0.25, counts: Array.from({ length: 70 }, () => 2) }
    const odds = { histogram, fit: easeOdds().fit } as unknown as Parameters<typeof easeBars>[0]
    const { bars, stepMm } = easeBars(odds, 140)
    expect(stepMm).to.equal(0.75)
    expect(bars[0]?.fromMm).to.equal(-1.5)
    expect(bars.reduce((sum, { ofHundred }) => sum + ofHundred, 0)).to.be.closeTo(100, 1e-9)
    expect(bars[0]?.ofHundred).to.be.closeTo(400 / 140, 1e-9)
    expect(bars[1]?.ofHundred).to.be.closeTo(600 / 140, 1e-9)
  })

  it('stand on an axis of marks that the unit has', () => {
    const bars = [bar(-1.5, 'will-not-go'), bar(11, 'easy')]
    // from −1.5 to 11.5: steps of 2, from −2 to 12
    expect(easeAxis(bars, 0.5, 'mm')).to.deep.equal({ min: -2, max: 12, tickAmount: 7 })
    expect(easeAxis([], 1, 'cm')).to.deep.equal({ min: 0, max: 1, tickAmount: 1 })
    // 13 mm in steps of 1/16 in would be nine; from −1/16 to 8/16 in
    expect(easeAxis(bars, 0.5, 'in')).to.deep.equal({ min: -1.5875, max: 12.7, tickAmount: 9 })
  })

  it('name a verdict where its name has room, and mark its bound in any case', () => {
    const bars = [
      bar(-2, 'will-not-go'),
      bar(0, 'drum-tight'),
      bar(2, 'snug'),
      bar(8, 'easy'),
      bar(16, 'easy'),
    ]
    expect(namedBounds(bars)).to.deep.equal([
      { atMm: 0, name: undefined },
      { atMm: 2, name: 'snug' },
      { atMm: 8, name: 'easy' },
    ])
  })
})
