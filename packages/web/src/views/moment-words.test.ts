import { expect } from 'chai'
import { momentWords, timeWords, whenWords } from './moment-words.js'

const at = (day: number, hour: number, minute: number) => new Date(2026, 10, day, hour, minute)
const written = (day: number, hour: number, minute: number) => at(day, hour, minute).toISOString()

describe('a moment, by the clock of whoever reads it', () => {
  it('has two figures for hours and minutes', () => {
    expect(timeWords(written(1, 7, 4))).to.equal('07:04')
    expect(momentWords(written(3, 14, 5))).to.equal('3 November 2026, 14:05')
  })

  it('is said by the clock today, by the day before that', () => {
    expect(whenWords(written(29, 8, 5), at(29, 22, 0))).to.equal('today at 08:05')
    expect(whenWords(written(29, 23, 59), at(30, 0, 1))).to.equal('on 29 November 2026')
  })
})
