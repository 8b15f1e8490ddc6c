import { expect } from 'chai'
import { lengthList, readLengths } from './length-list.js'
import { inches, mm } from './length.js'

const range = { min: mm(0.5), max: mm(30) }

describe('a list of lengths as typed', () => {
  it('is parted by semicolons, or by commas that stand between no digits', () => {
    expect(readLengths('2, 3.5, 5', 'mm', range)).to.deep.equal({ ok: true, lengths: [2, 3.5, 5].map(mm) })
    expect(readLengths('2; 3,5;5 mm', 'mm', range)).to.deep.equal({ ok: true, lengths: [2, 3.5, 5].map(mm) })
    expect(readLengths('1/8, 3/16', 'in', range)).to.deep.equal({
      ok: true,
      lengths: [inches(1 / 8), inches(3 / 16)],
    })
  })

  it('is empty where nothing is typed, and one wrong length spoils it', () => {
    expect(readLengths(' , ', 'mm', range)).to.deep.equal({ ok: true, lengths: [] })
    expect(readLengths('2, wide', 'mm', range)).to.have.property('ok', false)
    expect(readLengths('2, 31', 'mm', range)).to.deep.equal({
      ok: false,
      message: '“31” is too large: expected 0.5 mm to 30 mm.',
    })
  })

  it('is kept as it was typed', () => {
    expect(lengthList('mm', range).parse('2, 3')).to.equal('2, 3')
    expect(lengthList('mm', range).safeParse('2, 300').error?.issues[0]?.message).to.include('too large')
  })
})
