import { expect } from 'chai'
import {
  codesOf,
  cutOf,
  everyReading,
  exactOf,
  familyFile,
  findingOf,
  fitOf,
  panelsOf,
  pieceOf,
  planFrom,
} from '../../file/testing/cover-files.js'
import type { CoverFile } from '../../file/cover-schema.js'
import { add, toJsonMm } from '../../length/length.js'

const file = (changes: Partial<CoverFile> = {}) => familyFile('turned-flap-cover', changes)

describe('a lined cover with turned flaps', () => {
  const plan = planFrom(file())

  it('cuts body, flaps and seams in one strip', () => {
    // s = 0.25 + 0.3125/2 = 0.40625; π·s = 1.27627
    // width 2·160 + 20 + 2 + 1.27627 + 1.5 + 2·50 + 2·6 + 2·0.5 = 457.7763 → 458
    // height 240 + 2 + 1.27627 + 5 + 12 + 1 = 261.2763 → 262: the flap’s stand-off is the body’s own
    expect(exactOf(plan, 'outer')).to.deep.equal([457.7763, 261.2763])
    expect(cutOf(plan, 'outer')).to.equal('1 × 458 mm × 262 mm')
    expect(cutOf(plan, 'lining')).to.equal('1 × 458 mm × 262 mm')
  })

  it('sets the width on the book and leaves the rounding to the flaps', () => {
    expect(toJsonMm(fitOf(plan, 'width').ease)).to.equal(1.5)
    // (458 − 12 − 1 − 344.7763)/2
    expect(panelsOf(plan)['back-flap']).to.equal(50.1119)
    // spine 20 + 1.27627; boards (344.77627 − 21.27627)/2
    expect(panelsOf(plan)).to.deep.include({ spine: 21.2763, back: 161.75, front: 161.75 })
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
    // s = 0.25 + 0.25 + 2 + 0.15625 = 2.65625; π·s = 8.34486; body 342 + 8.34486 + 1.5 = 351.84486; − 2·3 = 345.8449
    expect(exactOf(padded, 'padding')[0]).to.equal(345.8449)
    // the flap has no padding: s_f = 0.65625. It ends 6 inside the seam, 5 inside the board’s edge:
    // height 242 + π·(0.65625 + 0.65625)/2 + (π/2)·(√29 − 5) = 242 + 2.06167 + 0.60500 = 244.66667; + 5 + 13 = 262.67 → 263
    expect(exactOf(padded, 'outer')[1]).to.be.closeTo(262.6667, 2e-4)
    // 263 − 2·12
    expect(cutOf(padded, 'padding')).to.equal('1 × 345 mm × 239 mm')
    expect(cutOf(padded, 'interfacing')).to.equal(cutOf(padded, 'outer'))
  })

  it('by recipe adds to the wrap, and the flap takes what is left', () => {
    const wrapped = planFrom(file({ sizing: { mode: 'recipe', recipe: 'wrap-and-five' } }))
    // 340 + 127; 240 + 19
    expect(cutOf(wrapped, 'outer')).to.equal('1 × 467 mm × 259 mm')
    // (467 − 13 − 344.77627)/2 = 54.6119
    expect(panelsOf(wrapped)['front-flap']).to.equal(54.6119)
    expect(toJsonMm(fitOf(wrapped, 'width').ease)).to.equal(1.5)
    // 259 − 13 − 243.27627 = 2.7237
    expect(fitOf(wrapped, 'height').verdict).to.equal('snug')
  })

  it('warns of flaps too shallow to hold, and of flaps too deep to enter', () => {
    const shallow = planFrom(file({ options: { flapDepth: '30 mm' } }))
    // (418 − 13 − 344.77627)/2 = 30.11 under 38
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
    expect(plan.fits.map(({ ease }) => toJsonMm(ease))).to.deep.equal([1.5, 5])
    // (467 − 344.77627)/2 − 12
    expect(panelsOf(plan)['back-flap']).to.equal(49.1119)
  })

  it('computed, is cut with its hems and turn-ins', () => {
    const computed = planFrom(file({ options: { construction: 'single' } }))
    // 344.77627 + 2·(50 + 12) = 468.7763; 248.27627 + 2·50 = 348.2763
    expect(exactOf(computed, 'outer')).to.deep.equal([468.7763, 348.2763])
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

  it('has its interfacing ⅛ in smaller all round, and is padded over its whole strip', () => {
    const backed = planFrom(
      file({
        options: { construction: 'single' },
        layers: [
          { role: 'interfacing', thickness: '0.25 mm' },
          { role: 'padding', thickness: '2 mm', inset: '12 mm' },
          { role: 'outer', thickness: '0.3125 mm' },
        ],
      }),
    )
    const [wide, high] = [pieceOf(backed, 'outer').width.cut, pieceOf(backed, 'outer').height.cut]
    expect(toJsonMm(pieceOf(backed, 'interfacing').width.cut)).to.equal(toJsonMm(wide) - 6)
    expect(toJsonMm(pieceOf(backed, 'padding').height.cut)).to.equal(toJsonMm(high) - 24)
    // it reaches over the fitted lines, 50 inside the edge: s = s_f = 2.40625, all of it
    expect(toJsonMm(fitOf(backed, 'height').needed)).to.be.closeTo(242 + Math.PI * 2.40625, 2e-4)
  })

  it('lets a cover that does not fold back into deep flaps whose inner half is open', () => {
    const stiff = (options: object, changes: Partial<CoverFile> = {}) =>
      planFrom(
        file({
          object: { ...everyReading, foldsBack: false } as CoverFile['object'],
          options: { construction: 'single', flapDepth: '100 mm', ...options },
          ...changes,
        }),
      )
    // more than half of 160
    expect(findingOf(stiff({}), 'will-it-go-in').repair).to.deep.equal({
      kind: 'choose-option',
      option: 'innerHalf',
      choice: 'open',
      says: 'Leave the flaps’ inner half open',
    })
    expect(codesOf(stiff({ innerHalf: 'open' }))).not.to.include('will-it-go-in')
    // but not beyond 160 − 10
    expect(codesOf(stiff({ innerHalf: 'open', flapDepth: '151 mm' }))).to.include('flap-too-deep')
  })

  it('leaves the inner half of such a flap unsewn at top and bottom in the picture', () => {
    const levels = (options: Record<string, string>) => {
      const { strip } = planFrom(file({ options: { flapDepth: '100 mm', ...options } }))
      const total = toJsonMm(add(...strip.panels.map(({ width }) => width)))
      return strip.lines.flatMap(({ kind, from, to }) =>
        kind === 'stitch' && from[1] === to[1] ? [[toJsonMm(from[0]), total - toJsonMm(to[0])]] : [],
      )
    }
    for (const construction of ['lined', 'single']) {
      const [flap] = planFrom(file({ options: { flapDepth: '100 mm', construction } })).strip.panels
      const half = flap ? toJsonMm(flap.width) / 2 : 0
      for (const [from = 0, to = 0] of levels({ construction, innerHalf: 'open' })) {
        expect(from).to.be.closeTo(half, 0.01)
        expect(to).to.be.closeTo(half, 0.01)
      }
      expect(levels({ construction, innerHalf: 'sewn' })).to.deep.equal([
        [0, 0],
        [0, 0],
      ])
    }
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
