import { expect } from 'chai'
import { textOfNumber, unreadNumber } from './unread.js'
import { withKey } from './with-key.js'

describe('what the keys beside a number type', () => {
  it('is a fraction or a unit apart from the number before, a slash close to it', () => {
    expect(withKey('5', '1/2')).to.equal('5 1/2')
    expect(withKey('5 ', '1/2')).to.equal('5 1/2')
    expect(withKey('5 3', '/')).to.equal('5 3/')
    expect(withKey('12', 'cm')).to.equal('12 cm')
    expect(withKey('', '3/4')).to.equal('3/4')
  })
})

describe('a number that nobody can read', () => {
  it('stands as it was typed, and is shown so', () => {
    expect(textOfNumber(unreadNumber('150 %'))).to.equal('150 %')
    expect(textOfNumber(15)).to.equal('15')
    expect(textOfNumber(undefined)).to.equal('')
  })
})
