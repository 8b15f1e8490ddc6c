import { expect } from 'chai'
import { seenWords } from './device-words.js'

const at = (day: number, hour: number, minute: number) => new Date(2026, 10, day, hour, minute)

describe('when a device was here', () => {
  const device = {
    id: '',
    name: 'Phone',
    createdAt: at(3, 9, 0).toISOString(),
    seenAt: at(29, 8, 5).toISOString(),
  }

  it('is said by the clock today, by the day before that', () => {
    expect(seenWords(device, at(29, 22, 0))).to.equal('here last today at 08:05; let in on 3 November 2026')
    expect(seenWords(device, at(30, 0, 1))).to.equal(
      'here last on 29 November 2026; let in on 3 November 2026',
    )
  })
})
