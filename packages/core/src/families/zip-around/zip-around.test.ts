import { expect } from 'chai'
import type { CoverFile } from '../../file/cover-schema.js'
import {
  codesOf,
  cutOf,
  everyReading,
  exactOf,
  familyFile,
  findingOf,
  fitOf,
  notionOf,
  pieceOf,
  planFrom,
} from '../../file/testing/cover-files.js'
import { toJsonMm } from '../../length/length.js'

const file = (changes: Partial<CoverFile> = {}) =>
  familyFile('zip-around', {
    layers: [
      { role: 'lining', thickness: '0.25 mm' },
      { role: 'padding', thickness: '4 mm', squash: 0.5 },
      { role: 'outer', thickness: '0.3125 mm' },
    ],
    ...changes,
  })

describe('a zip-around cover', () => {
  const plan = planFrom(file())

  it('needs the wrap, the bulk and the gusset; in height the boards with their flaps', () => {
    // s = 0.25 + 3 + 0.15625 = 3.40625, π·s = 10.70105; s_g = 0.25 + 0.15625 = 0.40625
    // width 340 + 10.70105 + 0.8125 = 351.5135; s_f = 0.3125·1.5 = 0.46875: 240 + max(0.8125, 4 + 1.47262) = 245.4726
    expect(toJsonMm(fitOf(plan, 'width').needed)).to.equal(351.5135)
    expect(toJsonMm(fitOf(plan, 'height').needed)).to.equal(245.4726)
  })

  it('cuts outer and foam with a wide seam and no turned edge', () => {
    // + 10 + 2·10: 381.5135 → 382; 275.4726 → 276
    expect(exactOf(plan, 'outer')).to.deep.equal([381.5135, 275.4726])
    expect(cutOf(plan, 'outer')).to.equal('1 × 382 mm × 276 mm')
    expect(cutOf(plan, 'padding')).to.equal('1 × 382 mm × 276 mm')
  })

  it('runs gusset, zip and piping along the seam line', () => {
    // P = 2·(362 + 256) − (8 − 2π)·25 = 1236 − 42.9204 = 1193.0796; half run 596.5398 − 38 = 558.5398
    // f = (20 + 6.8125 + 3 − 6)/2 = 11.90625 is under 12; strip 12 + 20
    expect(exactOf(plan, 'gusset')).to.deep.equal([558.5398, 32])
    expect(cutOf(plan, 'gusset-lining')).to.equal('2 × 559 mm × 32 mm')
    expect(notionOf(plan, 'zip').exact).to.equal(634.5398)
    expect(exactOf(plan, 'piping')).to.deep.equal([1243.0796, 38])
    // √(1244·38) + 50 = 267.4213
    expect(toJsonMm(pieceOf(plan, 'piping').blank?.exact ?? (0 as never))).to.be.closeTo(267.4213, 0.002)
    const faced = planFrom(file({ options: { gussetEnds: 'faced', zipExposed: '4 mm' } }))
    // + 2·10; f = (20 + 6.8125 + 3 − 4)/2 = 12.90625
    expect(exactOf(faced, 'gusset')).to.deep.equal([578.5398, 32.9063])
  })

  it('lines the middle up to under the flaps', () => {
    // flap 80: 2·(80 + 10); lining 362 − 160 + 50 + 2·(6 + 10) = 284
    expect(cutOf(plan, 'flap')).to.equal('2 × 180 mm × 276 mm')
    expect(cutOf(plan, 'lining')).to.equal('1 × 284 mm × 276 mm')
    const faced = planFrom(file({ options: { flapStyle: 'faced', flapDepth: '70 mm' } }))
    expect(cutOf(faced, 'flap-facing')).to.equal('2 × 90 mm × 276 mm')
  })

  it('says where rounded corners pinch, and how far they may be rounded', () => {
    // clear: height (256 − 240)/2 = 8, width (362 − 340)/2 = 11; 0.29·25 = 7.25 goes, 0.29·28 = 8.12 does not
    expect(codesOf(plan)).not.to.include('corner-pinches')
    const pinched = planFrom(file({ options: { cornerRadius: '28 mm' } }))
    // 8/0.29 = 27.58
    expect(findingOf(pinched, 'corner-pinches').repair).to.deep.include({ length: 27 * 320 })
    const round = {
      ...everyReading,
      readings: { ...everyReading?.readings, cornerRadius: ['5 mm'] },
    } as CoverFile['object']
    expect(codesOf(planFrom(file({ object: round, options: { cornerRadius: '28 mm' } })))).not.to.include(
      'corner-pinches',
    )
  })

  it('takes the thickness that the wrap leaves, and asks for it where nobody can know it', () => {
    const wrapped = planFrom(
      file({
        object: { kind: 'planner', readings: { height: ['240 mm'], wrap: ['345 mm'] } },
      }),
    )
    expect(findingOf(wrapped, 'thickness-unknown').data).to.deep.equal({ assumed: 0 })
    const measured = planFrom(
      file({
        object: { kind: 'planner', readings: { height: ['240 mm'], wrap: ['345 mm'], width: ['160 mm'] } },
      }),
    )
    // 345 − 320 = 25 thick: (25 + 2·0.40625 + 3 − 6)/2
    const gusset = measured.pieces.find(({ id }) => id === 'gusset')
    expect(
      gusset?.height.reasons.some(
        ({ label, length }) => label.includes('thickness') && length === 12.5 * 320,
      ),
    ).to.equal(true)
    expect(codesOf(measured)).not.to.include('thickness-unknown')
    expect(codesOf(plan)).not.to.include('thickness-unknown')
  })
})
