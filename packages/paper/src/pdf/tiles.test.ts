import { expect } from 'chai'
import fc from 'fast-check'
import { papers } from './paper.js'
import { overlap, tile } from './tiles.js'

const length = fc.double({ min: 1, max: 3000, noNaN: true })

describe('tiling a drawing', () => {
  it('takes one sheet where it has room, and one more as soon as it has not', () => {
    // A4 less 10 mm all round is 190 × 277
    expect(tile(190, 277, papers.a4).tiles.map(({ name }) => name)).to.deep.equal(['A1'])
    expect(tile(190.1, 277, papers.a4).tiles.map(({ name }) => name)).to.deep.equal(['A1', 'A2'])
    expect(tile(190, 277.1, papers.a4).tiles.map(({ name }) => name)).to.deep.equal(['A1', 'B1'])
  })

  it('shows every part of it, each neighbour 10 mm over the other', () => {
    fc.assert(
      fc.property(length, length, (width, height) => {
        const { columns, rows, window, tiles } = tile(width, height, papers.letter)
        const last = tiles.at(-1)
        expect((last?.from[0] ?? 0) + window[0]).to.be.at.least(width - 1e-6)
        expect((last?.from[1] ?? 0) + window[1]).to.be.at.least(height - 1e-6)
        expect(tiles).to.have.length(columns * rows)
        const [first, second] = tiles
        if (columns > 1 && first && second)
          expect(first.from[0] + window[0] - second.from[0]).to.be.closeTo(overlap, 1e-9)
      }),
    )
  })

  it('goes on after Z', () => {
    const names = tile(100, 7500, papers.a4).tiles.map(({ name }) => name)
    expect([names[25], names[26], names[27]]).to.deep.equal(['Z1', 'AA1', 'AB1'])
  })
})
