import { expect } from 'chai'
import fc from 'fast-check'
import { inches, toInches } from '../length/length.js'
import { findLeftOvers } from './left-overs.js'
import { nest } from './nest.js'
import { anyRequest, cloth, piece, request } from './testing/requests.js'

describe('what is left of the cloth', () => {
  it('is told as usable rectangles, the largest first', () => {
    const asked = request({ cloths: [cloth('quarter', 18, 21)], pieces: [piece('a', 10, 12)] })
    const left = findLeftOvers(
      nest(asked, () => Infinity),
      asked.cloths,
      inches(2),
    )
    // Beside 10 × 12 on 18 × 21: above it 18 × 9 = 162 or 10 × 9; beside it 8 × 21 = 168 or 8 × 12. So 8 × 21, then 10 × 9.
    expect(left.map(({ x, y, width, height }) => [x, y, width, height].map(toInches))).to.deep.equal([
      [10, 0, 8, 21],
      [0, 12, 10, 9],
    ])
  })

  it('leaves out scraps narrower than asked', () => {
    const asked = request({ cloths: [cloth('quarter', 18, 21)], pieces: [piece('a', 17, 20)] })
    expect(
      findLeftOvers(
        nest(asked, () => Infinity),
        asked.cloths,
        inches(2),
      ),
    ).to.deep.equal([])
  })

  it('lies on nothing and never on each other', () => {
    fc.assert(
      fc.property(anyRequest, asked => {
        const layout = nest(asked, () => Infinity)
        const left = findLeftOvers(layout, asked.cloths, inches(1))
        const avoided = asked.cloths.flatMap(({ id, count, avoid = [] }) =>
          Array.from({ length: count }, (_, index) => index + 1).flatMap(sheet =>
            avoid.map(place => ({ ...place, cloth: id, sheet })),
          ),
        )
        const boxes = [...left, ...layout.placements, ...avoided]
        for (const one of left)
          for (const other of boxes)
            if (one !== other && one.cloth === other.cloth && one.sheet === other.sheet)
              expect(
                one.x + one.width <= other.x ||
                  other.x + other.width <= one.x ||
                  one.y + one.height <= other.y ||
                  other.y + other.height <= one.y,
              ).to.equal(true)
      }),
      { numRuns: 60 },
    )
  })
})
