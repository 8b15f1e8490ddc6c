import { expect } from 'chai'
import { inches, toInches, zero } from '../length/length.js'
import { drawShowing, type Showing } from './showing-drawing.js'

const showing: Showing = {
  label: 'outer',
  piece: { width: inches(10), height: inches(8) },
  windows: [
    { name: 'front', x: inches(5), y: inches(0.5), width: inches(4.5), height: inches(7) },
    { name: 'spine', x: inches(4), y: inches(0.5), width: inches(1), height: inches(7) },
  ],
  at: [inches(3), inches(2)],
  cloth: { width: inches(42), length: inches(30) },
  avoid: [{ x: inches(1), y: inches(1), width: inches(1), height: inches(2) }],
  marks: [{ name: 'hut', x: inches(9), y: inches(4), width: inches(2), height: inches(3) }],
}
const startsOf = (drawn: Showing) =>
  drawShowing(drawn).marks.flatMap(mark =>
    mark.kind === 'path' ? [[mark.style, ...mark.start.map(toInches)]] : [],
  )
const texts = (drawn: Showing) =>
  drawShowing(drawn).marks.flatMap(mark => (mark.kind === 'text' ? [[mark.text, mark.turned ?? false]] : []))

describe('the picture of what shows in a piece', () => {
  it('has the piece in the middle, and of its longer side a third and a little more round it', () => {
    const { from, width, height } = drawShowing(showing)
    // 0.35 of 10 is 3 ½: from 3 - 3 ½ and 2 - 3 ½, 10 + 7 wide, 8 + 7 high.
    expect(from.map(toInches)).to.deep.equal([-0.5, -1.5])
    expect([width, height].map(toInches)).to.deep.equal([17, 15])
  })

  it('keeps the piece where it is in the frame when the cloth is moved', () => {
    const moved = drawShowing({ ...showing, at: [inches(20), zero] })
    expect(moved.from.map(toInches)).to.deep.equal([16.5, -3.5])
    expect(moved.width).to.equal(drawShowing(showing).width)
  })

  it('draws windows with the piece, marks and what is to be avoided with the cloth', () => {
    expect(startsOf(showing)).to.deep.include.members([
      ['edge', 0, 0],
      ['slit', 1, 1],
      ['measure', 9, 4],
      // 3 + 5 and 2 + ½
      ['fold', 8, 2.5],
      ['cut', 3, 2],
    ])
    expect(startsOf({ ...showing, at: [inches(4), inches(2)] })).to.deep.include.members([
      ['measure', 9, 4],
      ['fold', 9, 2.5],
      ['cut', 4, 2],
    ])
  })

  it('names marks and windows, slim ones along', () => {
    expect(texts(showing)).to.deep.equal([
      ['hut', false],
      ['front', false],
      ['spine', true],
    ])
  })
})
