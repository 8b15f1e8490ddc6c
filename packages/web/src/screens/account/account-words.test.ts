import { expect } from 'chai'
import { codesLeftWords, passkeyUseWords, placeWords } from './account-words.js'

const at = (day: number, hour: number) => new Date(2026, 10, day, hour, 5).toISOString()
const now = new Date(2026, 10, 30, 20, 0)

describe('what somebody is told of their account', () => {
  it('is where they are signed in, and since when', () => {
    const place = { id: '1', device: 'Phone', createdAt: at(3, 9), seenAt: at(30, 8), isThis: false }
    expect(placeWords(place, now)).to.equal('seen last today at 08:05; signed in on 3 November 2026')
    expect(placeWords({ ...place, seenAt: at(29, 8) }, now)).to.equal(
      'seen last on 29 November 2026; signed in on 3 November 2026',
    )
    expect(placeWords({ ...place, isThis: true }, now)).to.equal('here, now; signed in on 3 November 2026')
  })

  it('is whether a passkey is used', () => {
    const passkey = { id: '1', name: 'Phone', createdAt: at(3, 9), usedAt: null }
    expect(passkeyUseWords(passkey, now)).to.equal('not used yet; added on 3 November 2026')
    expect(passkeyUseWords({ ...passkey, usedAt: at(30, 7) }, now)).to.equal(
      'used last today at 07:05; added on 3 November 2026',
    )
  })

  it('is how many codes are left, and what to do where they are few', () => {
    expect(codesLeftWords(10)).to.match(/^You have 10 left, for when all else is lost\./)
    expect(codesLeftWords(4)).not.to.contain('used up')
    expect(codesLeftWords(3)).to.match(/^You have 3 left: make new ones/)
    expect(codesLeftWords(1)).to.match(/^You have one left: make new ones/)
    expect(codesLeftWords(0)).to.match(/^You have none left\..*make new ones\.$/)
  })
})
