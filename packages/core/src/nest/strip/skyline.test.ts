import { expect } from 'chai'
import fc from 'fast-check'
import { inARow } from './rooms.js'
import { createSkyline, liftLeftEnd, liftRightEnd, raise, standUp, type Skyline } from './skyline.js'

const width = 24

/** The skyline unit by unit: what it must be, however it is kept. */
function heightsOf({ count, x, y, width: widths }: Skyline): readonly number[] {
  const heights: number[] = []
  for (let at = 0; at < count; at += 1) {
    expect(x[at]).to.equal(heights.length)
    heights.push(...Array<number>(widths[at] as number).fill(y[at] as number))
  }
  return heights
}

function flat(): Skyline {
  const skyline = createSkyline(60, 1)
  standUp(skyline, inARow([{ width, height: 50, sheet: 0, left: 0, bottom: 0 }]))
  return skyline
}

describe('a skyline', () => {
  it('begins as the floor of each room with a wall between any two', () => {
    const skyline = createSkyline(3, 2)
    standUp(
      skyline,
      inARow([
        { width: 4, height: 10, sheet: 0, left: 0, bottom: 0 },
        { width: 3, height: 6, sheet: 1, left: 0, bottom: 0 },
      ]),
    )
    // The rooms end level at 10: the second begins at 10 − 6 = 4, behind a wall one wide.
    expect(heightsOf(skyline)).to.deep.equal([0, 0, 0, 0, 10, 4, 4, 4])
  })

  it('is lifted at either end of a stretch', () => {
    const skyline = flat()
    liftLeftEnd(skyline, 0, 5, 7)
    liftRightEnd(skyline, 1, 4, 3)
    expect(heightsOf(skyline)).to.deep.equal([
      ...Array<number>(5).fill(7),
      ...Array<number>(15).fill(0),
      ...Array<number>(4).fill(3),
    ])
  })

  it('has no two neighbours alike', () => {
    const skyline = flat()
    liftLeftEnd(skyline, 0, 5, 7)
    liftLeftEnd(skyline, 1, 6, 7)
    expect(skyline.count).to.equal(2)
    liftLeftEnd(skyline, 1, width - 11, 7)
    expect(skyline.count).to.equal(1)
  })

  it('is what it would be unit by unit, after whatever was done to it', () => {
    const step = fc.record({
      what: fc.constantFrom('left', 'right', 'raise'),
      at: fc.nat(1000),
      wide: fc.nat(1000),
      higher: fc.integer({ min: 1, max: 9 }),
    })
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), steps => {
        const skyline = flat()
        let heights: readonly number[] = heightsOf(skyline)
        for (const { what, at: anyAt, wide: anyWide, higher } of steps) {
          const at = anyAt % skyline.count
          const start = skyline.x[at] as number
          const gap = skyline.width[at] as number
          const base = skyline.y[at] as number
          const wide = 1 + (anyWide % gap)
          if (what === 'raise') {
            if (skyline.count === 1) continue
            const sides = [heights[start - 1], heights[start + gap]].filter(side => side !== undefined)
            const level = Math.min(...sides)
            if (level <= base) continue
            raise(skyline, at)
            heights = heights.map((height, x) => (x >= start && x < start + gap ? level : height))
          } else {
            const from = what === 'left' ? start : start + gap - wide
            if (what === 'left') liftLeftEnd(skyline, at, wide, base + higher)
            else liftRightEnd(skyline, at, wide, base + higher)
            heights = heights.map((height, x) => (x >= from && x < from + wide ? base + higher : height))
          }
          expect(heightsOf(skyline)).to.deep.equal(heights)
          for (let index = 1; index < skyline.count; index += 1)
            expect(skyline.y[index]).not.to.equal(skyline.y[index - 1])
        }
      }),
    )
  })
})
