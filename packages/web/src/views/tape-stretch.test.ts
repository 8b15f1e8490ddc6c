import { inches, mm, type Length, type Unit } from '@snowdrift/core'
import { expect } from 'chai'
import { stretchOf, tapeSize } from './tape-stretch'

const sixteenth = inches(1 / 16)
const wordsIn = (reading: Length, unit: Unit = 'in', division = sixteenth) =>
  stretchOf(reading, unit, division).numbers.map(({ words }) => words)

describe('a stretch of tape', () => {
  it('has the reading in its middle and sixteen marks to each side', () => {
    const { marks, numbers } = stretchOf(inches(35 / 4), 'in', sixteenth)
    expect(marks).to.have.length(33)
    // 256 over 32 divisions: 8 each; the reading’s own quarter is the third tallest kind: 26 - 2 · 4.5
    expect(marks[16]).to.deep.equal({ x: 128, high: 17 })
    expect([marks[0]?.x, marks[32]?.x]).to.deep.equal([0, 256])
    // 8 in is 12 marks before 8 3/4, 9 in four behind it; numbers stand 3 to the right of their marks
    expect(numbers).to.deep.equal([
      { x: 128 - 12 * 8 + 3, words: '8' },
      { x: 128 + 4 * 8 + 3, words: '9' },
    ])
  })

  it('begins at nought', () => {
    const { marks, numbers } = stretchOf(inches(1 / 4), 'in', sixteenth)
    // nought is four marks before it
    expect(marks[0]).to.deep.equal({ x: 128 - 4 * 8, high: 26 })
    expect(numbers.map(({ words }) => words)).to.deep.equal(['0', '1'])
  })

  it('shows no number of which an end is cut off', () => {
    // 13 in is 15 marks behind 12 1/16: at 248, and two digits take 15
    expect(wordsIn(inches(193 / 16))).to.deep.equal(['12'])
    // one mark further it would begin at 243, and end at 258; at 235 it ends at 250
    expect(wordsIn(inches(194 / 16))).to.deep.equal(['12'])
    expect(wordsIn(inches(195 / 16))).to.deep.equal(['12', '13'])
  })

  it('has numbers at centimetres, and every number wholly in sight wherever it is read', () => {
    expect(wordsIn(mm(222), 'mm', mm(1))).to.deep.equal(['210', '220', '230'])
    expect(wordsIn(mm(222), 'cm', mm(1))).to.deep.equal(['21', '22', '23'])
    for (let reading = 0; reading < 400; reading++)
      for (const { x, words } of stretchOf(mm(reading), 'mm', mm(1)).numbers) {
        expect(x).to.be.at.least(0)
        expect(x + 7.5 * words.length).to.be.at.most(tapeSize.width)
      }
  })
})
