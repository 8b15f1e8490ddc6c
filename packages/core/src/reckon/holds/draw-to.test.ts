import { expect } from 'chai'
import { mm, toMm } from '../../length/length.js'
import { drawTo } from './draw-to.js'

// a pocket of 60 in a room of 100: edge 0, inset 12, middle 20, inset 28, end 40
const to = (start: number) => toMm(drawTo(mm(start), { size: mm(60), room: mm(100), inset: mm(12) }))

describe('a place that is drawn to a sensible one', () => {
  it('goes to an edge, inside it, or to the middle', () => {
    expect([1, 10, 22, 29, 39].map(to)).to.deep.equal([0, 12, 20, 28, 40])
  })

  it('stays where nothing is near', () => {
    expect([5, 34].map(to)).to.deep.equal([5, 34])
  })

  it('knows no place below nothing where there is no room', () => {
    expect(drawTo(mm(3), { size: mm(100), room: mm(100), inset: mm(12) })).to.equal(mm(0))
  })
})
