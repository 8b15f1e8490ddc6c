import { expect } from 'chai'
import { sayMoney } from './money.js'

describe('an amount of money', () => {
  it('is said with what the workshop pays with, or alone', () => {
    expect(sayMoney(12.5, '€')).to.equal('12.50\u00a0€')
    expect(sayMoney(12.5, ' ')).to.equal('12.50')
  })
})
