import { expect } from 'chai'
import fc from 'fast-check'
import { add, mm, toJsonMm, zero } from '../length/length.js'
import { because, totalOf, type Reason } from '../piece/reason.js'
import {
  neededAcrossPouch,
  neededDownPouch,
  neededOverBook,
  neededOverZipped,
  neededRoundBook,
  neededRoundDevice,
  neededRoundZipped,
} from './needed.js'

const sum = (reasons: readonly Reason[]) => toJsonMm(totalOf(reasons))
const board = (millimetres: number) => ({ length: mm(millimetres), assumed: false })
const wrap = because('wrap', mm(340))
const device = {
  height: mm(170),
  width: mm(120),
  thickness: mm(10),
  thick: (label: string, share = 1) => because(label, mm(10 * share)),
  rounded: () => [],
}

describe('what is needed', () => {
  it('round and over a book', () => {
    // 340 + 2 + π·1.5; 240 + 2 + π·(1.5 + 0.5)/2
    expect(sum(neededRoundBook(wrap, board(2), mm(1.5)))).to.equal(346.7124)
    expect(sum(neededOverBook(mm(240), board(2), { bulk: mm(1.5), flapBulk: mm(0.5) }))).to.equal(245.1416)
  })

  it('over a book whose padding ends inside the seam: only its slope', () => {
    // s = 3, of it the padding 2; it ends 5 inside the seam, 4 inside the board’s edge
    // 240 + 2 + π·(3 − 2 + 0.5)/2 + (π/2)·(√(16 + 4) − 4) = 242 + 2.35619 + 0.74162
    const slope = { padding: mm(2), inside: mm(5) }
    const over = neededOverBook(mm(240), board(2), { bulk: mm(3), flapBulk: mm(0.5), slope })
    expect(sum(over)).to.be.closeTo(245.0978, 2e-4)
    // at the seam, or within half a board of it, all of it: 242 + π·3.5/2
    const short = neededOverBook(mm(240), board(2), {
      bulk: mm(3),
      flapBulk: mm(0.5),
      slope: { padding: mm(2), inside: mm(1) },
    })
    expect(sum(short)).to.equal(247.4978)
  })

  it('the less for padding, the farther inside it ends, and never less than without it', () => {
    const millimetres = fc.integer({ min: 0, max: 400 }).map(tenths => mm(tenths / 10))
    fc.assert(
      fc.property(millimetres, millimetres, millimetres, (padding, one, other) => {
        const need = (inside: typeof one, thick = padding) =>
          totalOf(
            neededOverBook(mm(240), board(2), {
              bulk: add(mm(1), thick),
              flapBulk: mm(0.5),
              slope: { padding: thick, inside },
            }),
          )
        const [near, far] = one < other ? [one, other] : [other, one]
        expect(need(far)).to.be.at.most(need(near) + 1)
        expect(need(far)).to.be.at.least(need(far, zero) - 1)
      }),
    )
  })

  it('in a pouch less, the rounder the edges of the device', () => {
    // T = 10: eased 2.5, round 5. Across 136.2832 − (4 − π)·2.5 = 134.1372 and − (4 − π)·5 = 131.9912
    // down, open: 178.1416 − (2 − π/2)·2.5 = 177.0686; closed: 186.2832 − (4 − π)·2.5 = 184.1372
    // lengthwise round a fold: 2·175 + 10 + π·2 − 2·(4 − π)·2.5 = 361.9912
    const withEdges = (rounding: number) => ({
      ...device,
      rounded: (label: string, share: number) => because(label, mm(-10 * rounding * share)),
    })
    const near = (reasons: readonly Reason[], millimetres: number) =>
      expect(sum(reasons)).to.be.closeTo(millimetres, 0.004)
    near(neededAcrossPouch(withEdges(1 / 4), mm(2)), 134.1372)
    near(neededAcrossPouch(withEdges(1 / 2), mm(2)), 131.9912)
    near(neededDownPouch(withEdges(1 / 4), mm(2), 'open'), 177.0686)
    near(neededDownPouch(withEdges(1 / 4), mm(2), 'closed'), 184.1372)
    near(neededRoundDevice(withEdges(1 / 4), mm(2)), 361.9912)
  })

  it('in a pouch, open or closed', () => {
    // 120 + 10 + 2π; 170 + 5 + π; 170 + 10 + 2π
    expect(sum(neededAcrossPouch(device, mm(2)))).to.equal(136.2832)
    expect(sum(neededDownPouch(device, mm(2), 'open'))).to.equal(178.1416)
    expect(sum(neededDownPouch(device, mm(2), 'closed'))).to.equal(186.2832)
  })

  it('inside a zip, by gusset or by flaps, whichever takes more', () => {
    // 340 + 2π + 2·0.5
    expect(sum(neededRoundZipped(wrap, mm(2), mm(0.5)))).to.equal(347.2832)
    const over = (boardMm: number) =>
      neededOverZipped(mm(240), { gusset: mm(1.5), board: board(boardMm), flapBulk: mm(0.5) })
    // 2·2 + π/2 = 5.5708 over 3; 0 + π/2 = 1.5708 under 3
    expect(sum(over(2))).to.equal(245.5708)
    expect(over(2)[1]?.label).to.contain('flaps')
    expect(sum(over(0))).to.equal(243)
    expect(over(0)[1]?.label).to.contain('gusset')
  })

  it('never grows less with more bulk', () => {
    const bulk = fc.integer({ min: 0, max: 200 }).map(tenths => mm(tenths / 10))
    fc.assert(
      fc.property(bulk, bulk, (one, other) => {
        const [thin, thick] = one < other ? [one, other] : [other, one]
        const needs = (s: typeof one) =>
          [
            neededRoundBook(wrap, board(2), s),
            neededOverBook(mm(240), board(2), { bulk: s, flapBulk: s }),
            neededAcrossPouch(device, s),
            neededDownPouch(device, s, 'open'),
            neededRoundZipped(wrap, s, s),
            neededOverZipped(mm(240), { gusset: s, board: board(2), flapBulk: s }),
          ].map(totalOf)
        for (const [index, need] of needs(thick).entries())
          expect(need).to.be.at.least(needs(thin)[index] ?? 0)
      }),
    )
  })
})
