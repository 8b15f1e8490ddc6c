import { expect } from 'chai'
import { mm, toMm, type Length } from '../length/length.js'
import type { Piece } from '../piece/piece.js'
import { because } from '../piece/reason.js'
import { sideRoundedUp } from '../piece/side.js'
import type { Drawing, PathMark } from './drawing.js'
import { drawPiece } from './piece-drawing.js'

const say = (length: Length) => `${toMm(length)} mm`
const piece = (width: number, height: number): Piece => ({
  id: 'gusset',
  role: 'outer',
  count: 2,
  width: sideRoundedUp(because('width', mm(width)), mm(1)),
  height: sideRoundedUp(because('height', mm(height)), mm(1)),
})
const outlineOf = ({ marks }: Drawing) => {
  const outline = marks.find((mark): mark is PathMark => mark.kind === 'path' && mark.piece === 'gusset')
  return outline?.steps.map(({ to }) => to.map(toMm))
}
const textsOf = ({ marks }: Drawing) => marks.flatMap(mark => (mark.kind === 'text' ? [mark] : []))

describe('the sketch of a piece', () => {
  it('is in true proportion up to six times as long as wide', () => {
    const drawing = drawPiece(piece(240, 40), say)
    expect(outlineOf(drawing)).to.deep.equal([
      [240, 0],
      [240, 40],
      [0, 40],
    ])
    expect(drawing.title).to.equal('The piece gusset')
    expect(textsOf(drawing).map(({ text }) => text)).to.deep.equal(['top', '240 mm', '40 mm'])
  })

  it('leaves out the middle of what is longer, says so, and gives the true sizes', () => {
    const drawing = drawPiece(piece(620, 40), say)
    // 6 · 40
    expect(outlineOf(drawing)?.[0]).to.deep.equal([240, 0])
    expect(drawing.title).to.equal('The piece gusset, drawn shorter than it is')
    expect(textsOf(drawing).map(({ text }) => text)).to.deep.equal([
      'top',
      '620 mm',
      '40 mm',
      'drawn shorter than it is',
    ])
    expect(outlineOf(drawPiece(piece(40, 620), say))?.[1]).to.deep.equal([40, 240])
  })

  it('has a gap as wide as it is jagged, within the piece', () => {
    const { marks } = drawPiece(piece(620, 40), say)
    const gap = marks.find((mark): mark is PathMark => mark.kind === 'path' && mark.fill === 'page')
    const points = [gap?.start, ...(gap?.steps.map(({ to }) => to) ?? [])].map(point => point?.map(toMm))
    // half of 240, and an eighth of 40 to either side, half of that again for the teeth: 120 ± 4.8 ± 2.4
    const across = points.map(point => point?.[0] ?? NaN)
    expect(Math.min(...across)).to.be.closeTo(120 - 7.2, 0.01)
    expect(Math.max(...across)).to.be.closeTo(120 + 7.2, 0.01)
    expect(new Set(points.map(point => point?.[1]))).to.deep.equal(new Set([0, 10, 20, 30, 40]))
  })

  it('keeps room for its sizes, be they longer than what they stand at', () => {
    // drawn 400 wide at 13 a letter, letters are about a thirtieth of the width; half as wide as high
    for (const [width, height] of [
      [620, 38],
      [38, 620],
      [300, 290],
    ] as const) {
      const drawing = drawPiece(piece(width, height), say)
      const letter = Math.max(drawing.width / 400, drawing.height / 192) * 13 * 0.86 * 0.5
      for (const { at, text, align, turned, size } of textsOf(drawing)) {
        if (turned || size !== 'small') continue
        const long = text.length * letter
        const [from, to] = align === 'start' ? [at[0], at[0] + long] : [at[0] - long / 2, at[0] + long / 2]
        expect(from, text).to.be.at.least(drawing.from[0])
        expect(to, text).to.be.at.most(drawing.from[0] + drawing.width)
      }
    }
  })
})
