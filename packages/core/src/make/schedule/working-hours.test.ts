import { expect } from 'chai'
import { formatMoment, parseMoment } from '../../file/moment.js'
import { parseExceptions, parseWeeklyHours, sessionsFrom } from './working-hours.js'

const weekly = (text: string) => {
  const read = parseWeeklyHours(text)
  return read.ok ? read.value : read.message
}
const exceptions = (text: string) => {
  const read = parseExceptions(text)
  return read.ok ? read.value : read.message
}

describe('when a maker works', () => {
  it('is read as it is said', () => {
    expect(weekly('Tue 19:00–21:00, saturday 2 pm - 5.30pm; sun 10 to 12')).to.deep.equal([
      { weekday: 2, from: 1140, to: 1260 },
      { weekday: 6, from: 840, to: 1050 },
      { weekday: 0, from: 600, to: 720 },
    ])
    expect(weekly('mon 12 am - 12 pm')).to.deep.equal([{ weekday: 1, from: 0, to: 720 }])
    expect(weekly(' ')).to.deep.equal([])
  })

  it('is refused with what is wrong', () => {
    expect(weekly('19:00–21:00')).to.contain('does not begin with a day')
    expect(weekly('t 19:00–21:00')).to.contain('does not begin with a day')
    expect(weekly('Tue evening')).to.contain('expected a time from and to')
    expect(weekly('Tue 25:00–26:00')).to.contain('no such time')
    expect(weekly('Tue 19:70–20:00')).to.contain('no such time')
    expect(weekly('Tue 13 pm – 14 pm')).to.contain('no such time')
    expect(weekly('Tue 21:00–19:00')).to.contain('ends before it begins')
    expect(weekly('Tue 19:00–21:00, Tue 20:00–22:00')).to.contain('overlap')
    expect(weekly('Tue 19:00–21:00, Tue 21:00–22:00')).to.have.length(2)
  })

  it('has days that are not as usual', () => {
    expect(exceptions('2026-12-24 off, 2026-12-26 10:00–12:00')).to.deep.equal([
      { day: '2026-12-24' },
      { day: '2026-12-26', hours: { from: 600, to: 720 } },
    ])
    expect(exceptions('2026-02-30 off')).to.contain('does not begin with a day')
    expect(exceptions('2026-12-24')).to.contain('expected a time')
  })

  const moment = (text: string) => parseMoment(text)?.moment ?? 0
  const laid = (usual: string, other: string, from: string, days: number) => {
    const [hours, days2] = [parseWeeklyHours(usual), parseExceptions(other)]
    if (!hours.ok || !days2.ok) throw new Error('expected to be read')
    return sessionsFrom(hours.value, days2.value, { from: moment(from), days }).map(
      ({ start, minutes }) => `${formatMoment(start)} ${minutes}`,
    )
  }

  it('comes again every week, but for days that are off', () => {
    // 1 December 2026 is a Tuesday
    expect(
      laid('Tue 19:00–21:00, Sat 14–17', '2026-12-08 off, 2026-12-09 18:00–19:00', '2026-12-01T08:00', 14),
    ).to.deep.equal([
      '2026-12-01T19:00 120',
      '2026-12-05T14:00 180',
      '2026-12-09T18:00 60',
      '2026-12-12T14:00 180',
    ])
  })

  it('counts a session that is under way from now on, and one that is over not at all', () => {
    expect(laid('Tue 19:00–21:00', '', '2026-12-01T20:15', 1)).to.deep.equal(['2026-12-01T20:15 45'])
    expect(laid('Tue 19:00–21:00', '', '2026-12-01T21:00', 1)).to.deep.equal([])
  })

  it('is one session where an exception overlaps what is usual', () => {
    expect(laid('Tue 19:00–21:00', '2026-12-01 20:00–22:00', '2026-12-01T00:00', 1)).to.deep.equal([
      '2026-12-01T19:00 180',
    ])
  })
})
