import { expect } from 'chai'
import fc from 'fast-check'
import type { ClothMark } from '../api/stash.js'
import { inches, toInches, type Length } from '../length/length.js'
import type { PrintWindow } from './print-places.js'
import {
  cornerToShow,
  cutOffOf,
  drawnToMarks,
  marksOnPart,
  overEdges,
  standings,
  usualStanding,
} from './showing.js'

/** In inches: from the corner of the piece. */
const front: PrintWindow = { name: 'Front', x: inches(8), y: inches(1), width: inches(6), height: inches(9) }
const mark = (what: ClothMark['what'], x: number, y: number, width: number, height: number): ClothMark => ({
  name: 'it',
  what,
  x: inches(x),
  y: inches(y),
  width: inches(width),
  height: inches(height),
})
const hut = mark('motif', 20, 30, 4, 3)
const inInches = <Side extends string>(sides: Readonly<Record<Side, Length>>) =>
  Object.fromEntries(Object.entries<Length>(sides).map(([name, length]) => [name, toInches(length)]))

describe('what of a cloth is shown', () => {
  it('stands in the middle of a window, or along one of its edges', () => {
    // The hut’s middle is at 22 and 31 ½; the window’s at 8 + 3 = 11 and 1 + 4 ½ = 5 ½ from the corner.
    expect(inInches(cornerToShow(front, hut, 'middle'))).to.deep.equal({ x: 11, y: 26 })
    // Foot on foot: 33 - 10 = 23; head on head: 30 - 1 = 29.
    expect(inInches(cornerToShow(front, hut, 'foot'))).to.deep.equal({ x: 11, y: 23 })
    expect(inInches(cornerToShow(front, hut, 'head'))).to.deep.equal({ x: 11, y: 29 })
    // Left on left: 20 - 8 = 12; right on right: 24 - 14 = 10.
    expect(inInches(cornerToShow(front, hut, 'left'))).to.deep.equal({ x: 12, y: 26 })
    expect(inInches(cornerToShow(front, hut, 'right'))).to.deep.equal({ x: 10, y: 26 })
  })

  it('moves as the mark does, whatever it is and wherever it stands', () => {
    const place = fc.integer({ min: 0, max: 400 }).map(eighths => eighths / 8)
    fc.assert(
      fc.property(place, place, place, fc.constantFrom(...standings), (x, y, by, standing) => {
        const before = cornerToShow(front, mark('motif', x, y, 4, 3), standing)
        const after = cornerToShow(front, mark('motif', x + by, y + 2 * by, 4, 3), standing)
        expect(toInches(after.x) - toInches(before.x)).to.be.closeTo(by, 1e-3)
        expect(toInches(after.y) - toInches(before.y)).to.be.closeTo(2 * by, 1e-3)
      }),
    )
  })

  it('draws the hand to where it stands right, each way by itself, when that is near', () => {
    const at = (x: number, y: number, marks: readonly ClothMark[]) =>
      inInches(drawnToMarks({ x: inches(x), y: inches(y) }, [front], marks))
    // the hut in the middle at 11, 26; left at 12, right at 10; head at 29, foot at 23. 4 mm are 0.157 in
    expect(at(11.125, 27, [hut])).to.deep.equal({ x: 11, y: 27 })
    expect(at(9.875, 22.875, [hut])).to.deep.equal({ x: 10, y: 23 })
    expect(at(11.25, 26.25, [hut])).to.deep.equal({ x: 11.25, y: 26.25 })
    // a border across the cloth at 40 to 43: its foot on the window’s at 43 − 10 = 33; its ends do not count
    const border = mark('border', 0, 40, 28, 3)
    expect(at(3.125, 33.125, [border])).to.deep.equal({ x: 3.125, y: 33 })
    // a fold down the cloth at 20: in the middle of the window where 20.05 − 11 = 9.05
    const fold = mark('fold', 20, 0, 0.1, 40)
    const drawnTo = drawnToMarks({ x: inches(9), y: inches(5) }, [front], [fold])
    expect(toInches(drawnTo.x)).to.be.closeTo(9.05, 1e-3)
    expect(drawnTo.y).to.equal(inches(5))
    expect(at(11.125, 27, [])).to.deep.equal({ x: 11.125, y: 27 })
  })

  it('is a motif in the middle, a border along the edge that it runs to, a fold where the piece is folded', () => {
    expect(usualStanding(hut)).to.equal('middle')
    expect(usualStanding(mark('border', 0, 40, 42, 3))).to.equal('foot')
    expect(usualStanding(mark('border', 39, 0, 3, 40))).to.equal('right')
    expect(usualStanding(mark('fold', 20, 0, 0.1, 40))).to.equal('middle')
  })

  it('is cut off where a motif is larger than the window, not where a border or a fold is', () => {
    expect(inInches(cutOffOf(front, mark('motif', 0, 0, 7, 9.5)))).to.deep.equal({ width: 1, height: 0.5 })
    expect(inInches(cutOffOf(front, hut))).to.deep.equal({ width: 0, height: 0 })
    expect(inInches(cutOffOf(front, mark('border', 0, 0, 42, 3)))).to.deep.equal({ width: 0, height: 0 })
  })

  it('stays marked on what is left: a motif that is whole, a border and a fold as far as they reach in', () => {
    const part = { x: inches(18), y: inches(28), width: inches(10), height: inches(4) }
    const on = (...marks: readonly ClothMark[]) =>
      marksOnPart(marks, part).map(({ name: _, what, ...sides }) => ({ what, ...inInches(sides) }))
    // The hut, 4 × 3 at 20 and 30, ends at 33, and the part at 32; a window of 2 × 2 there does not.
    expect(on(hut)).to.deep.equal([])
    expect(on(mark('motif', 20, 30, 2, 2))).to.deep.equal([
      { what: 'motif', x: 2, y: 2, width: 2, height: 2 },
    ])
    // A border over the whole width of 54 at 29: 10 of it, 1 below the part’s edge; a fold down the cloth at 20.
    expect(on(mark('border', 0, 29, 54, 2))).to.deep.equal([
      { what: 'border', x: 0, y: 1, width: 10, height: 2 },
    ])
    expect(on(mark('fold', 20, 0, 0.5, 60))).to.deep.equal([
      { what: 'fold', x: 2, y: 0, width: 0.5, height: 4 },
    ])
    // Beside it, and at its edge.
    expect(on(mark('border', 0, 10, 54, 2), mark('motif', 28, 29, 1, 1))).to.deep.equal([])
  })

  it('may lie so near an edge that the piece would go over it', () => {
    const piece = { width: inches(16), height: inches(11) }
    const ground = { width: inches(42), length: inches(20) }
    expect(inInches(overEdges({ x: inches(-2), y: inches(12) }, piece, ground))).to.deep.equal({
      left: 2,
      right: 0,
      head: 0,
      foot: 3,
    })
    expect(inInches(overEdges({ x: inches(27), y: inches(-1) }, piece, ground))).to.deep.equal({
      left: 0,
      right: 1,
      head: 1,
      foot: 0,
    })
    // Cloth off the bolt has no end.
    const bolt = { width: inches(42) }
    expect(inInches(overEdges({ x: inches(0), y: inches(900) }, piece, bolt))).to.deep.equal({
      left: 0,
      right: 0,
      head: 0,
      foot: 0,
    })
  })
})
