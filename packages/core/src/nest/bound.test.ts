import { expect } from 'chai'
import { boundOfStrip } from './bound.js'
import { createKit } from './strip/kit.js'

const bound = (width: number, sides: readonly (readonly [number, number])[], turnable = false) =>
  boundOfStrip(createKit(sides.map(([wide, height]) => ({ width: wide, height, turnable }))), width)

const threes = [
  [6, 2],
  [6, 2],
  [6, 2],
] as const

describe('what no layout goes below', () => {
  it('is the area over the width, rounded up', () => {
    const sides = [
      [4, 2],
      [3, 2],
      [3, 3],
    ] as const
    // 4·2 + 3·2 + 3·3 = 23; 23 / 8 = 2.9, so 3. On 5 none lies beside another: 2 + 2 + 3.
    expect(bound(8, sides)).to.equal(3)
    expect(bound(5, sides)).to.equal(7)
  })

  it('counts what cannot lie side by side as the whole width', () => {
    // Three of 6 × 2 on 10: no two beside each other, so 3·2 = 6; by area only 36 / 10 → 4.
    expect(bound(10, threes)).to.equal(6)
  })

  it('takes the kinder way of what may be turned', () => {
    // Standing, 2 × 6, they may lie beside each other; the area 36 / 10 → 4 is all that holds for both ways.
    expect(bound(10, threes, true)).to.equal(4)
  })

  it('is the tallest piece where one stands out', () => {
    const sides = [
      [1, 9],
      [1, 1],
    ] as const
    expect(bound(10, sides)).to.equal(9)
  })
})
