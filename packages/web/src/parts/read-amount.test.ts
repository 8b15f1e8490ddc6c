import { expect } from 'chai'
import { readAmount } from './read-amount.js'

describe('an amount as typed', () => {
  it('is read with a comma or a point', () => {
    expect(['2.5', '2,5', ' 3 ', '0'].map(text => readAmount(text, 30))).to.deep.equal([2.5, 2.5, 3, 0])
  })

  it('is nothing where nothing is', () => {
    expect(['', '  '].map(text => readAmount(text, 30))).to.deep.equal([undefined, undefined])
  })

  it('is wrong below nought, over the most, or where it is no number', () => {
    expect(['-1', '30.1', 'much', '1.2.3'].map(text => readAmount(text, 30))).to.deep.equal(
      Array<string>(4).fill('wrong'),
    )
    expect(readAmount('30', 30)).to.equal(30)
  })
})
