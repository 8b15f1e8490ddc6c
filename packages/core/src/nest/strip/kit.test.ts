import { expect } from 'chai'
import { createKit } from './kit.js'
import { heightOf, sortKinds, widthOf } from './kinds.js'

const rectangle = (width: number, height: number, turnable = false) => ({ width, height, turnable })

describe('a kit', () => {
  it('has one kind for pieces that may stand for each other', () => {
    const kit = createKit([
      rectangle(3, 5),
      rectangle(3, 5),
      rectangle(5, 3),
      rectangle(3, 5, true),
      rectangle(5, 3, true),
    ])
    expect([...kit.kinds]).to.deep.equal([0, 0, 1, 2, 2])
    expect(kit.area).to.equal(75)
  })

  it('does not turn squares: nothing would come of it', () => {
    const kit = createKit([rectangle(4, 4, true), rectangle(4, 4)])
    expect([...kit.turnable]).to.deep.equal([0, 0])
    expect(kit.kindCount).to.equal(1)
  })

  it('is sorted by the narrowest way that a kind may lie', () => {
    const kinds = sortKinds(
      createKit([rectangle(9, 2), rectangle(7, 3, true), rectangle(5, 8), rectangle(5, 8)]),
    )
    expect([...kinds.narrowest]).to.deep.equal([3, 5, 9])
    expect([...kinds.many]).to.deep.equal([1, 2, 1])
    expect([widthOf(kinds, 0, 0), widthOf(kinds, 0, 1), heightOf(kinds, 0, 1)]).to.deep.equal([7, 3, 7])
    // 21, 40 and 18: the last is the smallest.
    expect(kinds.smallFirst).to.deep.equal([2, 0, 1])
  })
})
