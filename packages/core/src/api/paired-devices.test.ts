import { expect } from 'chai'
import fc from 'fast-check'
import { codeLetters, codeLength, formatPairingCode, parsePairingCode } from './paired-devices.js'

describe('a code to pair with', () => {
  it('is read as it is shown, and as somebody types it', () => {
    const code = fc
      .array(fc.constantFrom(...codeLetters.split('')), { minLength: codeLength, maxLength: codeLength })
      .map(letters => letters.join(''))
    fc.assert(
      fc.property(code, text => {
        expect(parsePairingCode(formatPairingCode(text))).to.equal(text)
        expect(parsePairingCode(` ${text.toLowerCase().replace(/(..)/g, '$1 ')}`)).to.equal(text)
      }),
    )
  })

  it('has no letter that is taken for another', () => {
    expect(codeLetters).to.have.lengthOf(31)
    for (const mistaken of '01ILO') expect(codeLetters).not.to.contain(mistaken)
    expect(new Set(codeLetters).size).to.equal(codeLetters.length)
  })

  it('is nothing else', () => {
    for (const text of ['', 'ABCDEFG', 'ABCDEFGHJ', 'ABCD-EFG0', 'ABCD-EFGI', 'ÄBCD-EFGH', 'ABCD_EFGH'])
      expect(parsePairingCode(text), text).to.equal(undefined)
  })
})
