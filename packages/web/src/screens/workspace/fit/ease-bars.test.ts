import { coverFile } from '../../../testing/files.js'
import { readCover, simulate } from '@snowdrift/core'
import { expect } from 'chai'
import { easeAxis, easeBars, namedBounds, type EaseBar } from './ease-bars.js'

const bar = (fromMm: number, verdict: EaseBar['verdict']): EaseBar => ({ fromMm, ofHundred: 1, verdict })

describe('the columns of the ease', () => {
  it('hold all makes, and as many in each verdict as the verdicts say', () => {
    const read = readCover(coverFile({ sizing: { mode: 'computed', easeWidth: '3 mm' } }))
    const [width] = (read.ok && simulate(read.value, { makes: 5000 })?.directions) || []
    if (!width) throw new Error('No width')
    const bars = easeBars(width, 5000)
    expect(bars.reduce((sum, { ofHundred }) => sum + ofHundred, 0)).to.be.closeTo(100, 1e-9)
    const snug = bars
      .filter(({ verdict }) => verdict === 'snug')
      .reduce((sum, { ofHundred }) => sum + ofHundred, 0)
    expect(snug).to.be.closeTo((width.verdicts.snug ?? 0) * 100, 1e-9)
  })

  it('stand on an axis of whole millimetres', () => {
    const bars = [bar(-1.5, 'will-not-go'), bar(11, 'easy')]
    // from −1.5 to 11.5: steps of 2, from −2 to 12
    expect(easeAxis(bars, 0.5)).to.deep.equal({ min: -2, max: 12, tickAmount: 7 })
    expect(easeAxis([], 1)).to.deep.equal({ min: 0, max: 1, tickAmount: 1 })
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
