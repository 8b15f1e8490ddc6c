import { expect } from 'chai'
import { inches, mm } from '@snowdrift/core'
import { placeBetween } from './use-marking'

describe('a place that was dragged out', () => {
  it('goes outwards to the marks of the tape, whichever corner came first', () => {
    const eighth = inches(1 / 8)
    const place = { x: '2 in', y: '3 in', width: '1 1/4 in', height: '1/2 in' }
    // 2.01 to 3.2 is 2 to 3 1/4; 3.05 to 3.45 is 3 to 3 1/2.
    const [one, other] = [
      [inches(2.01), inches(3.05)],
      [inches(3.2), inches(3.45)],
    ] as const
    expect(placeBetween(one, other, 'in', eighth)).to.deep.equal(place)
    expect(placeBetween(other, one, 'in', eighth)).to.deep.equal(place)
  })

  it('is a mark wide at the least, for a mere touch', () => {
    const touch = [mm(50), mm(70)] as const
    expect(placeBetween(touch, touch, 'mm', mm(5))).to.deep.equal({
      x: '50 mm',
      y: '70 mm',
      width: '5 mm',
      height: '5 mm',
    })
    expect(placeBetween([mm(0), mm(0)], [mm(1), mm(1)], 'mm', mm(5)).x).to.match(/^0/)
  })
})
