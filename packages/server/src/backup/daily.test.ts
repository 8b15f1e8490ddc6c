import { expect } from 'chai'
import { planDaily } from './daily.js'

const week = ['01', '02', '03', '04', '05', '06', '07'].map(day => `snowdrift-2026-03-${day}.backup`)

describe('daily backups', () => {
  it('are one a day', () => {
    expect(planDaily([], '2026-03-01')).to.deep.equal({ write: 'snowdrift-2026-03-01.backup', drop: [] })
    expect(planDaily(['snowdrift-2026-03-01.backup'], '2026-03-01')).to.deep.equal({ drop: [] })
  })

  it('are kept for a week, whatever order they are found in', () => {
    expect(planDaily(week, '2026-03-07')).to.deep.equal({ drop: [] })
    expect(planDaily(week.toReversed(), '2026-03-08')).to.deep.equal({
      write: 'snowdrift-2026-03-08.backup',
      drop: ['snowdrift-2026-03-01.backup'],
    })
  })

  it('are kept where nothing was made for long: the last seven, not those of the last seven days', () => {
    expect(planDaily(week.slice(0, 3), '2027-01-01').drop).to.deep.equal([])
  })

  it('leave alone what they did not write', () => {
    const others = ['mine.backup', 'snowdrift-2026-03-01.backup.1.half', 'snowdrift-old.backup']
    expect(planDaily([...others, ...week], '2026-03-09').drop).to.deep.equal(['snowdrift-2026-03-01.backup'])
  })
})
