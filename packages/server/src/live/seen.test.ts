import { expect } from 'chai'
import fc from 'fast-check'
import { createSeen } from './seen.js'

describe('what was seen of the notes', () => {
  it('is each of them once, in whatever order they come', () => {
    const order = fc.shuffledSubarray(
      Array.from({ length: 20 }, (_, at) => at + 1),
      { minLength: 20 },
    )
    fc.assert(
      fc.property(order, fc.array(fc.integer({ min: 0, max: 19 })), (ids, again) => {
        const seen = createSeen('0')
        for (const id of ids) expect(seen.add(String(id), 0)).to.equal(true)
        for (const at of again) expect(seen.add(String(ids[at]), 0)).to.equal(false)
        expect(seen.below()).to.equal('20')
      }),
    )
  })

  it('waits for one that is missing, and no longer than a transaction lasts', () => {
    const seen = createSeen('4')
    seen.add('5', 100)
    seen.add('7', 200)
    seen.add('8', 900)
    // 6 may still come
    expect(seen.below()).to.equal('5')
    seen.closeGapsBefore(150)
    expect(seen.below()).to.equal('5')
    // what came after it was seen before 300, so 6 was taken back; 8 follows 7 without a gap
    seen.closeGapsBefore(300)
    expect(seen.below()).to.equal('8')
    expect([seen.add('7', 950), seen.add('9', 950)]).to.deep.equal([false, true])
  })

  it('takes one in that comes late', () => {
    const seen = createSeen('0')
    seen.add('2', 0)
    expect(seen.add('1', 10)).to.equal(true)
    expect(seen.below()).to.equal('2')
  })
})
