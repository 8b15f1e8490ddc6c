import { expect } from 'chai'
import { minutesWords } from './minutes-words'
import { leftWords, sinceWords } from './wait-words'

describe('minutes in words', () => {
  it('are whole, hours apart', () => {
    expect([0.3, 1, 6.6, 60, 80.2, 720].map(minutesWords)).to.deep.equal([
      'under 1 min',
      '1 min',
      '7 min',
      '1 h',
      '1 h 20 min',
      '12 h',
    ])
  })

  it('count down, and up once a wait is over', () => {
    expect([3_700_000, 61_000, 900].map(leftWords)).to.deep.equal([
      '1 h 1 min left',
      '1 min 1 s left',
      '1 s left',
    ])
    expect([20_000, 300_000, 3 * 3_600_000].map(sinceWords)).to.deep.equal([
      'ready now',
      'ready since 5 min',
      'ready since 3 h',
    ])
  })
})
