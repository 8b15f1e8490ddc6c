import { expect } from 'chai'
import type { CoverFile } from '../../file/cover-schema.js'
import {
  codesOf,
  cutOf,
  exactOf,
  familyFile,
  fitOf,
  notionOf,
  planFrom,
} from '../../file/testing/cover-files.js'
import { toJsonMm } from '../../length/length.js'

const tablet: CoverFile['object'] = {
  kind: 'tablet',
  edges: 'square',
  readings: { height: ['170 mm'], width: ['120 mm'], thickness: ['10 mm'] },
}
const file = (changes: Partial<CoverFile> = {}) => familyFile('fold-case', { object: tablet, ...changes })

describe('a fold-over case', () => {
  const plan = planFrom(file())

  it('is two halves and the fold between them', () => {
    // s = 0.40625, s_p = 0.375: 130 + π·0.390625 = 131.2272; + 8 + 13 = 152.2272
    // 2·175 + 10 + 1.27627 = 361.2763; + 2·10 + 13 = 394.2763
    expect(exactOf(plan, 'outer')).to.deep.equal([152.2272, 394.2763])
    expect(cutOf(plan, 'lining')).to.equal('1 × 153 mm × 395 mm')
  })

  it('says the ease of one half', () => {
    const { needed, finished, ease, verdict } = fitOf(plan, 'height')
    // (395 − 13 − 361.2763)/2
    expect([needed, finished, ease].map(toJsonMm)).to.deep.equal([361.2763, 382, 10.3619])
    expect(verdict).to.equal('snug')
  })

  it('shares the give of the cloth between the halves', () => {
    const verdictOf = (addHeight: string) =>
      fitOf(
        planFrom(
          file({
            layers: [{ role: 'outer', thickness: '0.3125 mm', stretchAlong: 1 }],
            sizing: { mode: 'rule', measure: 'device', addWidth: '40 mm', addHeight },
          }),
        ),
        'height',
      ).verdict
    // s = 0.15625: needs 360.4909; 2·(170 + 15) − 13 = 357 is 1.75 a half short, the cloth gives 1.785; 14.8 mm gives 356.6: 1.95
    expect(verdictOf('15 mm')).to.equal('tight-but-goes')
    expect(verdictOf('14 mm')).to.equal('will-not-go')
  })

  it('pads all of it, caught in the seam', () => {
    const padded = planFrom(
      file({
        layers: [
          { role: 'lining', thickness: '0.25 mm' },
          { role: 'padding', thickness: '2 mm' },
          { role: 'outer', thickness: '0.3125 mm' },
        ],
      }),
    )
    // s = 2.40625: width 130 + π·(2.40625 + 0.375)/2 = 134.3688 + 8 + 12 + 3 = 157.3688
    expect(exactOf(padded, 'outer')[0]).to.equal(157.3688)
    expect(cutOf(padded, 'padding')).to.equal(cutOf(padded, 'outer'))
  })

  it('has a faced pocket inside and a zip pocket outside', () => {
    // 153 by 170 + 50; strips of 100 and 50
    expect(cutOf(plan, 'pocket')).to.equal('2 × 153 mm × 220 mm')
    expect(cutOf(plan, 'zip-pocket-low')).to.equal('2 × 153 mm × 100 mm')
    expect(cutOf(plan, 'zip-pocket-high')).to.equal('2 × 153 mm × 50 mm')
    expect(notionOf(plan, 'zip').mm).to.equal(203)
    const plain = planFrom(file({ options: { zipPocket: false } }))
    expect([plain.notions.length, plain.pieces.length]).to.deep.equal([0, 3])
  })

  it('by recipe is cut without reckoning', () => {
    // 120 + 64 by 2·(170 + 64)
    expect(
      cutOf(planFrom(file({ sizing: { mode: 'recipe', recipe: 'inch-and-a-quarter' } })), 'outer'),
    ).to.equal('1 × 184 mm × 468 mm')
  })

  it('warns that a print with a top stands on its head on one half', () => {
    const printed = (print: 'one-way' | 'two-way') =>
      codesOf(planFrom(file({ layers: [{ role: 'outer', thickness: '0.3 mm', print }] })))
    expect(printed('one-way')).to.include('print-over-fold')
    expect(printed('two-way')).not.to.include('print-over-fold')
  })
})
