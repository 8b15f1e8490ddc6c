import { expect } from 'chai'
import { writeWaitIcs } from './wait-ics'

const glue = {
  cover: 'Hut ledger',
  step: 'glue:spine',
  name: 'The glue dries, ½ h',
  endsAt: '2026-03-05T17:30:20.000Z',
}
const lines = (wait: typeof glue) => writeWaitIcs(wait, new Date('2026-03-05T17:00:00Z')).split('\r\n')

describe('the end of a wait, for a calendar', () => {
  it('is the next full minute, in the world’s time, with an alarm then', () => {
    expect(lines(glue)).to.include.members([
      'DTSTART:20260305T173100Z',
      'DURATION:PT5M',
      'BEGIN:VALARM',
      'ACTION:DISPLAY',
      'TRIGGER;VALUE=DATE-TIME:20260305T173100Z',
    ])
    expect(lines({ ...glue, endsAt: '2026-03-05T17:30:00.000Z' })).to.include('DTSTART:20260305T173000Z')
  })

  it('says what is ready, its signs escaped, and of which cover', () => {
    expect(lines(glue)).to.include('SUMMARY:Ready: The glue dries\\, ½ h')
    expect(lines(glue)).to.include('DESCRIPTION:Hut ledger')
  })

  it('keeps its name, so that it is not there twice', () => {
    const uid = (wait: typeof glue) => lines(wait).find(line => line.startsWith('UID:'))
    expect(uid(glue)).to.equal('UID:wait-glue-spine-Hut-ledger@snowdrift')
    expect(uid({ ...glue, endsAt: '2026-03-05T18:30:00.000Z' })).to.equal(uid(glue))
    expect(uid({ ...glue, step: 'glue:board' })).not.to.equal(uid(glue))
  })
})
