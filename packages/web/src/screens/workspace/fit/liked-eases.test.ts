import { expect } from 'chai'
import { likedEases } from './liked-eases.js'

const liked = (value: number, makes: number) => ({ value, low: value - 1, high: value + 1, makes })

describe('the ease that a maker likes', () => {
  const learnt = { ease: { width: liked(4.2, 5), height: liked(6.1, 3) } }

  it('is offered in each direction asked for, with the fewest makes behind it', () => {
    expect(likedEases(learnt, ['width', 'height'])).to.deep.equal({
      eases: [
        ['width', 4.2],
        ['height', 6.1],
      ],
      makes: 3,
    })
    expect(likedEases(learnt, ['width'])?.makes).to.equal(5)
  })

  it('is not offered while too few makes tell of it, or nothing is asked', () => {
    expect(likedEases({ ease: { ...learnt.ease, height: liked(6.1, 2) } }, ['width', 'height'])).to.equal(
      undefined,
    )
    expect(likedEases(learnt, [])).to.equal(undefined)
    expect(likedEases(undefined, ['width'])).to.equal(undefined)
  })
})
