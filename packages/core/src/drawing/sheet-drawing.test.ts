import { expect } from 'chai'
import { inches, toInches, zero } from '../length/length.js'
import { drawSheet, type SheetToDraw } from './sheet-drawing.js'

const sheet: SheetToDraw = {
  name: 'Larch print',
  role: 'outer',
  width: inches(42),
  length: inches(20),
  placements: [
    {
      piece: 'p',
      copy: 1,
      cloth: 'c',
      sheet: 1,
      x: inches(3),
      y: inches(5),
      width: inches(10),
      height: inches(8),
      turned: false,
    },
  ],
  labelOf: () => 'outer',
  print: 'one-way',
  leftOvers: [{ x: inches(20), y: zero, width: inches(22), height: inches(20) }],
}
const paths = (drawn: SheetToDraw) => drawSheet(drawn).marks.filter(mark => mark.kind === 'path')
const lines = (drawn: SheetToDraw) => drawSheet(drawn).marks.filter(mark => mark.kind === 'line')

describe('the picture of a sheet', () => {
  it('has the width of the cloth to the right and its length downwards, to scale', () => {
    const piece = paths(sheet).find(mark => mark.piece === 'p')
    // 3 in from the selvedge, 5 in along from the beginning, 10 wide, 8 long.
    expect(piece?.start.map(toInches)).to.deep.equal([3, 5])
    expect(piece?.steps[1]?.to.map(toInches)).to.deep.equal([13, 13])
  })

  it('has selvedges where there are some', () => {
    const hems = (role: SheetToDraw['role']) =>
      lines({ ...sheet, role }).filter(({ style }) => style === 'hem').length
    expect([hems('outer'), hems('board')]).to.deep.equal([2, 0])
  })

  it('shows which way the print goes and the top of every piece', () => {
    const arrows = (print: SheetToDraw['print']) => lines({ ...sheet, print }).map(({ arrow }) => arrow)
    expect(arrows('one-way').filter(arrow => arrow === 'end')).to.have.length(2)
    expect(arrows('two-way').filter(arrow => arrow === 'both')).to.have.length(1)
    const texts = drawSheet(sheet).marks.flatMap(mark => (mark.kind === 'text' ? [mark.text] : []))
    expect(texts).to.deep.equal(['grain, print up', 'outer'])
  })

  it('crosses out what is to be avoided, as far as it lies on the cloth', () => {
    const avoid = [
      { x: inches(40), y: inches(2), width: inches(6), height: inches(3) },
      { x: inches(1), y: inches(30), width: inches(6), height: inches(3) },
    ]
    const crossed = lines({ ...sheet, avoid }).filter(({ style }) => style === 'slit')
    // From 40 to the selvedge at 42, from 2 to 5; what begins behind the end of 20 is not there.
    expect(crossed.map(({ from, to }) => [...from, ...to].map(toInches))).to.deep.equal([
      [40, 2, 42, 5],
      [40, 5, 42, 2],
    ])
    expect(lines(sheet).filter(({ style }) => style === 'slit')).to.deep.equal([])
  })

  it('frames what is to be seen, with its name', () => {
    const marks = [{ name: 'hut', x: inches(20), y: inches(4), width: inches(6), height: inches(3) }]
    const drawn = drawSheet({ ...sheet, marks }).marks
    const name = drawn.find(mark => mark.kind === 'text' && mark.text === 'hut')
    // In its middle: 20 + 3 across, 4 + 1 ½ along.
    expect(name?.kind === 'text' && name.at.map(toInches)).to.deep.equal([23, 5.5])
    expect(drawSheet(sheet).marks.some(mark => mark.kind === 'text' && mark.text === 'hut')).to.equal(false)
  })

  it('lights the next cut across the part in hand', () => {
    const part = { x: zero, y: inches(2), width: inches(42), height: inches(18) }
    const across = lines({ ...sheet, cut: { part, direction: 'across', at: inches(8) } }).find(
      ({ style }) => style === 'tape',
    )
    // 2 + 8 along, from selvedge to selvedge.
    expect([across?.from, across?.to].map(point => point?.map(toInches))).to.deep.equal([
      [0, 10],
      [42, 10],
    ])
    const along = lines({ ...sheet, cut: { part, direction: 'along', at: inches(8) } }).find(
      ({ style }) => style === 'tape',
    )
    expect([along?.from, along?.to].map(point => point?.map(toInches))).to.deep.equal([
      [8, 2],
      [8, 20],
    ])
  })
})
