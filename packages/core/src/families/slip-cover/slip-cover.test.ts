import { expect } from 'chai'
import {
  codesOf,
  coverFile,
  cutOf,
  fitOf,
  metricFile,
  pieceOf,
  planFrom,
} from '../../file/testing/cover-files.js'
import type { CoverFile } from '../../file/cover-schema.js'
import { toJsonMm } from '../../length/length.js'
import { totalOf } from '../../piece/reason.js'

describe('a computed slip-on cover', () => {
  const plan = planFrom(coverFile())

  it('cuts the body round the book, the bulk, the ease and the seams', () => {
    // s = 0.28125 + 3·0.8 + 0.28125/2 = 2.821875; π·s = 8.86518
    // width 2·168.275 + 30.1625 + 3.175 + 8.86518 + 5 + 2·6.35 + 2·0.5 = 397.4527 → 15 3/4 in
    const outer = pieceOf(plan, 'outer')
    expect(toJsonMm(outer.width.exact)).to.equal(397.4527)
    // s_f = 0.28125 + 0.28125/2 = 0.421875. The padding, Δ = 2.4, ends 12.7 − 6.35 inside the seam and 4.7625 inside
    // the board’s edge: π·(2.821875 − 2.4 + 0.421875)/2 + (π/2)·(√(4.7625² + 2.4²) − 4.7625) = 1.32536 + 0.89622
    // height 238.125 + 3.175 + 2.22158 + 5 + 12.7 + 1 = 262.2216 → 10 3/8 in
    expect(toJsonMm(outer.height.exact)).to.equal(262.2216)
    expect(cutOf(plan, 'outer', 'in')).to.equal('1 × 15 3/4 in × 10 3/8 in')
    expect(cutOf(plan, 'lining', 'in')).to.equal('1 × 15 3/4 in × 10 3/8 in')
  })

  it('says what is needed and what comes out', () => {
    // finished 400.05 − 12.7 − 1 = 386.35; needed 397.4527 − 5 − 13.7 = 378.7527; ease 7.5973
    const width = fitOf(plan, 'width')
    expect(toJsonMm(width.finished)).to.equal(386.35)
    expect(toJsonMm(width.needed)).to.equal(378.7527)
    expect(toJsonMm(width.ease)).to.equal(7.5973)
    expect(width.verdict).to.equal('snug')
  })

  it('insets the padding and rounds it down', () => {
    // 15 3/4 − 2·1/2 by 10 3/8 − 2·1/2
    expect(cutOf(plan, 'padding', 'in')).to.equal('1 × 14 3/4 in × 9 3/8 in')
    const odd = planFrom(
      metricFile({
        layers: [
          { role: 'padding', thickness: '2 mm', inset: '6.3 mm' },
          { role: 'outer', thickness: '0.3 mm' },
        ],
      }),
    )
    const outer = pieceOf(odd, 'outer').width.cut
    // less 12.6 mm, down to the millimetre: 13 mm less
    expect(toJsonMm(outer) - toJsonMm(pieceOf(odd, 'padding').width.cut)).to.equal(13)
  })

  it('doubles a folded flap and faces a faced one', () => {
    // 2·(3 + 1/4) = 6 1/2
    expect(cutOf(plan, 'flap', 'in')).to.equal('2 × 6 1/2 in × 10 3/8 in')
    // 3 + 2·1/4 = 3 1/2
    const faced = planFrom(coverFile({ options: { flapStyle: 'faced', flapDepth: '3 in' } }))
    expect(cutOf(faced, 'flap-outer', 'in')).to.match(/^2 × 3 1\/2 in/)
    expect(cutOf(faced, 'flap-facing', 'in')).to.match(/^2 × 3 1\/2 in/)
  })

  it('makes flaps half the width deep unless told', () => {
    // 6 5/8 / 2 = 3 5/16; 2·(3 5/16 + 1/4) = 7 1/8
    expect(cutOf(planFrom(coverFile({ options: {} })), 'flap', 'in')).to.match(/^2 × 7 1\/8 in/)
  })

  it('lays out panels that add up to the finished width, flaps as they come out', () => {
    const [backFlap, back, spine, front, frontFlap] = plan.strip.panels.map(panel => toJsonMm(panel.width))
    expect([backFlap, frontFlap]).to.deep.equal([76.2, 76.2])
    // spine 30.1625 + 8.8652 = 39.0277; boards (386.35 − 39.0277)/2 = 173.6612
    expect([back, spine, front]).to.deep.equal([173.6612, 39.0277, 173.6612])
  })

  it('keeps the fit when only the seam changes', () => {
    const wide = planFrom(metricFile({ seam: '12 mm' }))
    const narrow = planFrom(metricFile({ seam: '6 mm' }))
    expect(fitOf(wide, 'width').ease).to.equal(fitOf(narrow, 'width').ease)
    // 2 × (12 − 6) = 12 mm more cloth
    expect(pieceOf(wide, 'outer').width.cut - pieceOf(narrow, 'outer').width.cut).to.equal(12 * 320)
  })

  it('cuts quilted plies oversize and trims them to the lining', () => {
    const quilted = planFrom(
      metricFile({
        layers: [
          { role: 'lining', thickness: '0.25 mm' },
          { role: 'padding', thickness: '2 mm', takeUp: 3, quilted: true, inset: 0 },
          { role: 'outer', thickness: '0.3 mm', quilted: true },
        ],
      }),
    )
    const lining = pieceOf(quilted, 'lining')
    for (const id of ['outer', 'padding']) {
      const piece = pieceOf(quilted, id)
      // lining's cut / (1 − 0.03) + 12 mm
      expect(toJsonMm(piece.width.exact)).to.be.closeTo(toJsonMm(lining.width.cut) / 0.97 + 12, 1e-4)
      expect(piece.trimTo).to.deep.equal({
        piece: 'lining',
        width: lining.width.cut,
        height: lining.height.cut,
      })
    }
    expect(lining.trimTo).to.equal(undefined)
  })
})

describe('a slip-on cover by rule', () => {
  it('adds the amount to the open width, or to the wrap where none was read', () => {
    const rule = (measure: 'open' | 'wrap', readings: object): CoverFile =>
      metricFile({
        object: { kind: 'notebook', readings: { height: ['240'], boardThickness: ['1'], ...readings } },
        sizing: { mode: 'rule', measure, addWidth: '38', addHeight: '38' },
      })
    const both = { openWidth: ['330'], wrap: ['338'] }
    expect(cutOf(planFrom(rule('open', both)), 'outer', 'mm')).to.equal('1 × 368 mm × 278 mm')
    expect(cutOf(planFrom(rule('wrap', both)), 'outer', 'mm')).to.equal('1 × 376 mm × 278 mm')
    // no open width: 2·160 + 10 = 330
    expect(cutOf(planFrom(rule('open', { width: ['160'], thickness: ['10'] })), 'outer', 'mm')).to.equal(
      '1 × 368 mm × 278 mm',
    )
  })

  it('leaves ease and verdict to follow', () => {
    // cut 340 + 12 = 352; finished 352 − 12 − 1 = 339; needed 340 + 2 + π·0.40625 = 343.2763; ease −4.2763
    const tight = planFrom(
      metricFile({ sizing: { mode: 'rule', measure: 'wrap', addWidth: '12', addHeight: '40' } }),
    )
    expect(toJsonMm(fitOf(tight, 'width').ease)).to.equal(-4.2763)
    expect(codesOf(tight)).to.include('will-not-go')
  })
})

describe('recipes of the slip-on cover', () => {
  const book = coverFile().object
  const recipe = (id: string, changes: Partial<CoverFile> = {}) => {
    const { seam: _seam, ...file } = coverFile({
      object: book,
      options: {},
      sizing: { mode: 'recipe', recipe: id },
      ...changes,
    })
    return planFrom({ ...file, ...('seam' in changes && { seam: changes.seam }) })
  }
  // wrap 2·6 5/8 + 1 3/16 = 14 7/16 in; the larger height 9 3/8 in

  it('deep-flaps: 1 in and ½ in, a seam of ⅛ in, faced flaps W − ¼ in', () => {
    const plan = recipe('deep-flaps')
    // 14 7/16 + 1 = 15 7/16 → 15 1/2; 9 3/8 + 1/2 = 9 7/8; flap 6 5/8 − 1/4 = 6 3/8
    expect(cutOf(plan, 'outer', 'in')).to.equal('1 × 15 1/2 in × 9 7/8 in')
    expect(cutOf(plan, 'flap-outer', 'in')).to.equal('2 × 6 3/8 in × 9 7/8 in')
    expect(plan.settled.seam).to.equal(8128 / 8)
  })

  it('inch-and-a-half: 1 ½ in both ways, folded flaps cut 7 in', () => {
    const plan = recipe('inch-and-a-half')
    // 15 15/16 → 16; 10 7/8
    expect(cutOf(plan, 'outer', 'in')).to.equal('1 × 16 in × 10 7/8 in')
    expect(cutOf(plan, 'flap', 'in')).to.equal('2 × 7 in × 10 7/8 in')
  })

  it('two-inches: 2 in both ways with a ½ in seam, faced flaps ¾·W + ½ in', () => {
    const plan = recipe('two-inches')
    // 16 7/16 → 16 1/2; 11 3/8; flap 0.75·6.625 + 0.5 = 5.46875 → 5 1/2
    expect(cutOf(plan, 'outer', 'in')).to.equal('1 × 16 1/2 in × 11 3/8 in')
    expect(cutOf(plan, 'flap-outer', 'in')).to.equal('2 × 5 1/2 in × 11 3/8 in')
    expect(plan.settled.seam).to.equal(8128 / 2)
  })

  it('lets the file win and points it out', () => {
    const changed = recipe('two-inches', { seam: '1/4 in', options: { flapStyle: 'folded' } })
    expect(changed.settled.seam).to.equal(8128 / 4)
    expect(codesOf(changed)).to.include('recipe-changed')
    expect(codesOf(recipe('two-inches', { seam: '1/2 in' }))).not.to.include('recipe-changed')
    expect(codesOf(recipe('two-inches'))).not.to.include('recipe-changed')
  })
})

describe('what a slip-on cover warns of', () => {
  const codes = (changes: Partial<CoverFile>) => codesOf(planFrom(metricFile(changes)))
  const bookThat = (foldsBack: boolean): Partial<CoverFile> => ({
    object: {
      kind: 'hardcover',
      foldsBack,
      readings: { height: ['240'], width: ['160', '158'], thickness: ['20'], boardThickness: ['2'] },
    },
  })
  const depth = (flapDepth: string) => ({ options: { flapDepth } })

  it('flap-too-deep: beyond the narrowest width less 10 mm', () => {
    expect(codes({ ...bookThat(true), ...depth('148') })).not.to.include('flap-too-deep')
    expect(codes({ ...bookThat(true), ...depth('148.1') })).to.include('flap-too-deep')
  })

  it('will-it-go-in: more than half the width where the covers do not fold back', () => {
    expect(codes({ ...bookThat(false), ...depth('79') })).not.to.include('will-it-go-in')
    expect(codes({ ...bookThat(false), ...depth('79.1') })).to.include('will-it-go-in')
    expect(codes({ ...bookThat(true), ...depth('79.1') })).not.to.include('will-it-go-in')
    expect(codes({ ...bookThat(false), options: {} })).not.to.include('will-it-go-in')
  })

  it('opening-small: less than 4 in between the flaps, 3 in for a thin stack; too small under 2 in', () => {
    // finished width 362 − 13 = 349 for a needed 343.2763 + 5 + 13 = 361.2763 → 362; thin stack: 76 mm
    expect(codes(depth('136.5'))).not.to.include('opening-small')
    expect(codes(depth('136.6'))).to.include('opening-small')
    // 349 − 2·149.5 = 50 is a fight no more
    expect(codes(depth('149.5')))
      .to.include('opening-small')
      .and.not.include('opening-too-small')
    expect(codes(depth('149.6')))
      .to.include('opening-too-small')
      .and.not.include('opening-small')
    const padded = metricFile().layers.concat()
    padded.unshift({ role: 'padding', thickness: '2 mm' })
    // thicker: needed grows by π·2 = 6.2832 → 367.5595 → 368, finished 355; 355 − 2·127.5 = 100
    expect(codes({ layers: padded, ...depth('127.5') })).not.to.include('opening-small')
    expect(codes({ layers: padded, ...depth('127.6') })).to.include('opening-small')
    expect(codes({ options: { flapDepth: '120', turningOpening: '110' } })).to.include('opening-small')
  })

  it('baggy and drum-tight, by direction', () => {
    const eased = (easeWidth: string, easeHeight: string) =>
      codes({ sizing: { mode: 'computed', easeWidth, easeHeight } })
    expect(eased('40', '5')).to.include('baggy')
    expect(eased('0', '5')).to.include('drum-tight')
    expect(eased('5', '5')).not.to.include.members(['baggy'])
  })

  it('piece-too-small: an inset that eats the padding leaves it out', () => {
    const layers = [
      { role: 'padding', thickness: '2 mm', inset: '140' },
      { role: 'outer', thickness: '0.3 mm' },
    ] as const
    const plan = planFrom(metricFile({ layers: [...layers] }))
    expect(codesOf(plan)).to.include('piece-too-small')
    expect(plan.pieces.map(({ id }) => id)).not.to.include('padding')
  })
})

describe('every size of a slip-on cover', () => {
  it('adds up from its reasons', () => {
    for (const { width, height } of planFrom(coverFile()).pieces)
      for (const side of [width, height]) expect(totalOf(side.reasons)).to.equal(side.exact)
  })
})
