import { expect } from 'chai'
import fc from 'fast-check'
import { mm, toJsonMm } from '../length/length.js'
import { because, totalOf, type Reason } from '../piece/reason.js'
import {
  neededAcrossPouch,
  neededDownPouch,
  neededOverBook,
  neededOverZipped,
  neededRoundBook,
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
}

describe('what is needed', () => {
  it('round and over a book', () => {
    // 340 + 2 + π·1.5; 240 + 2 + π·(1.5 + 0.5)/2
    expect(sum(neededRoundBook(wrap, board(2), mm(1.5)))).to.equal(346.7124)
    expect(sum(neededOverBook(mm(240), board(2), mm(1.5), mm(0.5)))).to.equal(245.1416)
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
            neededOverBook(mm(240), board(2), s, s),
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
