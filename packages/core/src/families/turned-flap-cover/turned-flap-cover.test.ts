import { expect } from 'chai'
import {
  codesOf,
  cutOf,
  exactOf,
  familyFile,
  findingOf,
  fitOf,
  panelsOf,
  planFrom,
} from '../../file/testing/cover-files.js'
import type { CoverFile } from '../../file/cover-schema.js'
import { toJsonMm } from '../../length/length.js'

const file = (changes: Partial<CoverFile> = {}) => familyFile('turned-flap-cover', changes)

describe('a lined cover with turned flaps', () => {
  const plan = planFrom(file())

  it('cuts body, flaps and seams in one strip', () => {
    // s = 0.25 + 0.3125/2 = 0.40625; π·s = 1.27627
    // width 2·160 + 20 + 2 + 1.27627 + 5 + 2·50 + 2·6 + 2·0.5 = 461.2763 → 462
    // height 240 + 2 + 1.27627 + 5 + 12 + 1 = 261.2763 → 262: the flap’s stand-off is the body’s own
    expect(exactOf(plan, 'outer')).to.deep.equal([461.2763, 261.2763])
    expect(cutOf(plan, 'outer')).to.equal('1 × 462 mm × 262 mm')
    expect(cutOf(plan, 'lining')).to.equal('1 × 462 mm × 262 mm')
  })

  it('sets the width on the book and leaves the rounding to the flaps', () => {
    expect(toJsonMm(fitOf(plan, 'width').ease)).to.equal(5)
    // (462 − 12 − 1 − 348.2763)/2
    expect(panelsOf(plan)['back-flap']).to.equal(50.3619)
    // spine 20 + 1.27627; boards (348.27627 − 21.27627)/2
    expect(panelsOf(plan)).to.deep.include({ spine: 21.2763, back: 163.5, front: 163.5 })
    // 262 − 13 − 243.2763
    expect(toJsonMm(fitOf(plan, 'height').ease)).to.equal(5.7237)
  })

  it('lays a single layer over its hems: half of what the fold took away at head and foot, the hem at the ends', () => {
    const single = planFrom(
      file({ options: { construction: 'single' }, layers: [{ role: 'outer', thickness: '0.3125 mm' }] }),
    )
    const [cut] = single.strip.cutPieces
    const outer = single.pieces.find(({ id }) => id === 'outer')
    if (!cut || !outer) throw new Error('No outer')
    const turned = (toJsonMm(outer.height.cut) - toJsonMm(single.strip.height)) / 2
    expect(turned).to.be.above(5)
    expect(-toJsonMm(cut.at[1])).to.be.closeTo(turned, 0.001)
  })

  it('pads the body only, an eighth short of each fold', () => {
    const padded = planFrom(
      file({
        layers: [
          { role: 'lining', thickness: '0.25 mm' },
          { role: 'interfacing', thickness: '0.25 mm' },
          { role: 'padding', thickness: '2 mm' },
          { role: 'outer', thickness: '0.3125 mm' },
        ],
      }),
    )
    // s = 0.25 + 0.25 + 2 + 0.15625 = 2.65625; π·s = 8.34486; body 342 + 8.34486 + 5 = 355.34486; − 2·3 = 349.3449
    expect(exactOf(padded, 'padding')[0]).to.equal(349.3449)
    // height 242 + 8.34486 + 5 + 13 = 268.34 → 269; − 2·12
    expect(cutOf(padded, 'padding')).to.equal('1 × 349 mm × 245 mm')
    expect(cutOf(padded, 'interfacing')).to.equal(cutOf(padded, 'outer'))
  })

  it('by recipe adds to the wrap, and the flap takes what is left', () => {
    const wrapped = planFrom(file({ sizing: { mode: 'recipe', recipe: 'wrap-and-five' } }))
    // 340 + 127; 240 + 19
    expect(cutOf(wrapped, 'outer')).to.equal('1 × 467 mm × 259 mm')
    // (467 − 13 − 348.27627)/2 = 52.8619
    expect(panelsOf(wrapped)['front-flap']).to.equal(52.8619)
    expect(toJsonMm(fitOf(wrapped, 'width').ease)).to.equal(5)
    // 259 − 13 − 243.27627 = 2.7237
    expect(fitOf(wrapped, 'height').verdict).to.equal('snug')
  })

  it('warns of flaps too shallow to hold, and of flaps too deep to enter', () => {
    const shallow = planFrom(file({ options: { flapDepth: '30 mm' } }))
    // (422 − 13 − 348.27627)/2 = 30.36 under 38
    expect(findingOf(shallow, 'flap-too-shallow').repair).to.deep.include({
      kind: 'set-option',
      option: 'flapDepth',
    })
    expect(codesOf(plan)).not.to.include('flap-too-shallow')
    expect(codesOf(planFrom(file({ options: { flapDepth: '151 mm' } })))).to.include('flap-too-deep')
  })
})

describe('a cover of one layer, fitted on the book', () => {
  const plan = planFrom(file({ sizing: { mode: 'recipe', recipe: 'fit-as-you-go' } }))

  it('is cut by the recipe and fits by its fitted lines', () => {
    // 340 + 127 by 240 + 100
    expect(cutOf(plan, 'outer')).to.equal('1 × 467 mm × 340 mm')
    expect(plan.pieces).to.have.length(1)
    expect(plan.fits.map(({ ease }) => toJsonMm(ease))).to.deep.equal([5, 5])
    // (467 − 348.27627)/2 − 12
    expect(panelsOf(plan)['back-flap']).to.equal(47.3619)
  })

  it('computed, is cut with its hems and turn-ins', () => {
    const computed = planFrom(file({ options: { construction: 'single' } }))
    // 348.27627 + 2·(50 + 12) = 472.2763; 248.27627 + 2·50 = 348.2763
    expect(exactOf(computed, 'outer')).to.deep.equal([472.2763, 348.2763])
    expect(toJsonMm(fitOf(computed, 'height').ease)).to.equal(5)
  })

  it('plans a second copy from the lines that were fitted on the first', () => {
    const second = planFrom(
      file({ options: { construction: 'single', fittedWidth: '346 mm', fittedHeight: '247 mm' } }),
    )
    // 346 + 124; 247 + 100
    expect(exactOf(second, 'outer')).to.deep.equal([470, 347])
    // needed 343.27627 and 243.27627
    expect(plan.fits.length).to.equal(2)
    expect(second.fits.map(({ ease }) => toJsonMm(ease))).to.deep.equal([2.7237, 3.7237])
  })

  it('doubles the hem of cloth that frays', () => {
    const hemOf = (frays: 'none' | 'much') =>
      (
        planFrom(
          file({
            sizing: { mode: 'recipe', recipe: 'leather-look' },
            layers: [{ role: 'outer', thickness: '1 mm', frays }],
          }),
        ).settled.options as { endHem: number }
      ).endHem
    expect(hemOf('much')).to.equal(2 * hemOf('none'))
  })
})
