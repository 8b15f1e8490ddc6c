import { mm } from '@snowdrift/core'
import { expect } from 'chai'
import { snap } from './snap.js'

// a pocket of 60 in a room of 100: edge 0, inside 12, middle 20, inside 28, end 40
const to = (start: number, snapping = true) => snap(mm(start), mm(60), mm(100), snapping) / 320

describe('snapping to a sensible place', () => {
  it('pulls to an edge, inside it, or to the middle', () => {
    expect([1, 10, 22, 29, 39].map(start => to(start))).to.deep.equal([0, 12, 20, 28, 40])
  })

  it('leaves what is near nothing, and what is moved by exact steps', () => {
    expect(to(5)).to.equal(5)
    expect(to(34)).to.equal(34)
    expect(to(1, false)).to.equal(1)
  })

  it('knows no place below nothing where there is no room', () => {
    expect(snap(mm(3), mm(100), mm(100), true)).to.equal(mm(0))
  })
})
