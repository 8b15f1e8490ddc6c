import { expect } from 'chai'
import { mm, toMm } from './length.js'
import { drawnTo, sensibleStarts } from './nearest.js'

describe('a place that is drawn to a sensible one', () => {
  // a pocket of 60 in a room of 100: edge 0, inset 12, middle 20, inset 28, end 40
  const starts = sensibleStarts({ size: mm(60), room: mm(100), inset: mm(12) })
  const to = (place: number) => toMm(drawnTo(mm(place), starts))

  it('goes to an edge, inside it, or to the middle', () => {
    expect(starts.map(toMm)).to.deep.equal([0, 12, 20, 28, 40])
    expect([1, 10, 22, 29, 39].map(to)).to.deep.equal([0, 12, 20, 28, 40])
  })

  it('stays where nothing is near, and where nothing is sensible', () => {
    expect([5, 34].map(to)).to.deep.equal([5, 34])
    expect(drawnTo(mm(5), [])).to.equal(mm(5))
  })

  it('knows no place below nothing where there is no room', () => {
    const full = sensibleStarts({ size: mm(100), room: mm(100), inset: mm(12) })
    expect(drawnTo(mm(3), full)).to.equal(mm(0))
    expect(full.every(start => start >= 0)).to.equal(true)
  })
})
