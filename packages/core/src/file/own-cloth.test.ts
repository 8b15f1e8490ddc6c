import { expect } from 'chai'
import { plan } from '../plan/plan.js'
import { cutPieceFrom, notePiece, setPieced } from './own-cloth.js'
import {
  codesOf,
  coverFrom,
  cutOf,
  exactOf,
  familyFile,
  findingOf,
  fitOf,
  metricFile,
  pieceOf,
  planFrom,
} from './testing/cover-files.js'
import { toJsonMm } from '../length/length.js'

const moss = { role: 'outer' as const, name: 'Moss', thickness: '1 mm' }
const lining = { role: 'lining' as const, name: 'lining', thickness: '0.25 mm' }
const outer = { role: 'outer' as const, name: 'outer', thickness: '0.3125 mm' }

describe('a cloth of its own', () => {
  it('comes with the piece that is cut from it, and goes with the last', () => {
    const one = cutPieceFrom(metricFile(), 'flap', moss)
    expect(one).to.deep.include({ cutFrom: { flap: 'Moss' }, cloths: [moss] })
    const two = cutPieceFrom(one, 'tie-pair', { ...moss, name: 'moss ' })
    expect(two.cloths).to.deep.equal([moss])
    const back = cutPieceFrom(cutPieceFrom(two, 'flap'), 'tie-pair')
    expect(back).not.to.have.any.keys('cutFrom', 'cloths')
  })

  it('may be one of the layers: nothing is added for it', () => {
    const file = cutPieceFrom(metricFile(), 'flap', { ...lining, role: 'outer' })
    expect(file.cutFrom).to.deep.equal({ flap: 'lining' })
    expect(file).not.to.have.property('cloths')
  })

  it('counts in the stand-off of what it is part of', () => {
    const thick = planFrom(cutPieceFrom(metricFile(), 'flap', moss))
    // s_f = 1 + 0.5 instead of 0.3125·1.5: the height needs π/2·(1.5 − 0.46875) more
    expect(toJsonMm(thick.standOff.flap ?? outerless)).to.equal(1.5)
    const more = fitOf(thick, 'height').needed - fitOf(planFrom(metricFile()), 'height').needed
    expect(more / 320).to.be.closeTo((Math.PI / 2) * (1.5 - 0.46875), 2e-4)
    // the whole outer: s = 0.25 + 0.5, and over 0.6 mm a turned edge takes 1
    const all = planFrom(cutPieceFrom(metricFile(), 'outer', moss))
    expect(toJsonMm(all.standOff.body)).to.equal(0.75)
    expect(exactOf(all, 'outer')[0]).to.be.closeTo(340 + 2 + Math.PI * 0.75 + 5 + 12 + 2, 2e-4)
  })

  it('that is not there is found fault with, and the piece is cut from its role’s', () => {
    const plan = planFrom(metricFile({ cutFrom: { flap: 'Fern' } }))
    expect(findingOf(plan, 'cloth-not-there').data).to.deep.include({ piece: 'flap', cloth: 'Fern' })
    expect(cutOf(plan, 'flap')).to.equal(cutOf(planFrom(metricFile()), 'flap'))
    expect(codesOf(planFrom(metricFile({ cutFrom: { sail: 'outer' } })))).to.include('piece-not-there')
  })
})

const outerless = 0 as never

describe('plies by panel', () => {
  const padded = (changes: object, family = 'slip-cover') =>
    planFrom(
      familyFile(family, {
        layers: [lining, { role: 'padding', thickness: '2 mm', inset: '12 mm', ...changes }, outer],
      }),
    )

  it('behind outer and lining are cut twice and counted twice', () => {
    const both = padded({ backs: ['outer', 'lining'] }, 'zip-pouch')
    // two walls of two
    expect(pieceOf(both, 'padding').count).to.equal(4)
    // 0.25 + 2·2 + 0.15625
    expect(toJsonMm(both.standOff.body)).to.equal(4.4063)
    expect(pieceOf(padded({}, 'zip-pouch'), 'padding').count).to.equal(2)
  })

  it('behind the flaps count there, and are cut as far as the fold', () => {
    const flaps = padded({ backs: ['flap'] })
    // the body without: 0.40625; the flap 0.3125·1.5 + 2
    expect(toJsonMm(flaps.standOff.body)).to.equal(0.4063)
    expect(toJsonMm(flaps.standOff.flap ?? outerless)).to.equal(2.4688)
    // flap 172 wide: 86 − 24; as high as it less 24
    const { width, height, count } = pieceOf(flaps, 'padding-flap')
    expect([toJsonMm(width.cut), count]).to.deep.equal([62, 2])
    expect(toJsonMm(height.cut)).to.equal(toJsonMm(pieceOf(flaps, 'flap').height.cut) - 24)
    expect(flaps.pieces.some(({ id }) => id === 'padding')).to.equal(false)
    expect(codesOf(padded({ backs: ['sail'] }))).to.include('piece-not-there')
  })

  it('behind a pocket’s front are cut with it', () => {
    const plan = planFrom(
      familyFile('slip-cover', {
        layers: [
          lining,
          { role: 'interfacing', thickness: '0.15 mm', backs: ['outer', 'pocket-faced-outer'] },
          outer,
        ],
        extras: [{ type: 'pocket-faced', width: '60 mm', height: '90 mm' }],
      }),
    )
    expect(cutOf(plan, 'interfacing-pocket-faced-outer')).to.equal('1 × 72 mm × 102 mm')
  })

  it('fused or quilted let nothing give', () => {
    const giving = { ...outer, stretchAcross: 2 }
    const giveOf = (...layers: object[]) =>
      fitOf(planFrom(familyFile('slip-cover', { layers: layers as never })), 'width').give
    expect(giveOf(giving)).to.be.above(0)
    expect(giveOf({ role: 'interfacing', thickness: '0.2 mm' }, giving)).to.equal(0)
    expect(giveOf({ role: 'interfacing', thickness: '0.2 mm', fused: false }, giving)).to.be.above(0)
    // fused to the lining, which gives no more: whichever is less
    const soft = { ...lining, stretchAcross: 5 }
    expect(
      giveOf(soft, { role: 'padding', thickness: '2 mm', fused: true, backs: ['lining'] }, giving),
    ).to.equal(0)
    expect(giveOf(soft, giving)).to.be.above(0)
    expect(giveOf({ ...giving, quilted: true })).to.equal(0)
  })
})

describe('what is said of a piece', () => {
  it('that it is pieced makes it larger, to be trimmed', () => {
    const file = setPieced(metricFile(), 'outer', true)
    expect(file.pieced).to.deep.equal(['outer'])
    const before = planFrom(metricFile())
    const { width, trimTo } = pieceOf(planFrom(file), 'outer')
    expect(toJsonMm(width.cut)).to.equal(toJsonMm(pieceOf(before, 'outer').width.cut) + 12)
    expect(trimTo).to.deep.include({ piece: 'outer', width: pieceOf(before, 'outer').width.cut })
    // what goes by it does not grow
    expect(cutOf(planFrom(file), 'flap')).to.equal(cutOf(before, 'flap'))
    expect(setPieced(file, 'outer', false)).not.to.have.property('pieced')
  })

  it('is a word that stays with it', () => {
    const file = notePiece(metricFile(), 'flap', 'the hut upright')
    expect(file.pieceNotes).to.deep.equal({ flap: 'the hut upright' })
    expect(plan(coverFrom(file)).pieces).to.deep.equal(planFrom(metricFile()).pieces)
    expect(notePiece(file, 'flap', ' ')).not.to.have.property('pieceNotes')
  })
})

describe('beginning anywhere', () => {
  it('with a panel that is used whole: the fit follows from it', () => {
    const plan = planFrom(metricFile({ sizing: { mode: 'cut', width: '360.5 mm', height: '260 mm' } }))
    expect(exactOf(plan, 'outer')).to.deep.equal([360.5, 260])
    // 360.5 − 13 − 343.2763
    expect(toJsonMm(fitOf(plan, 'width').ease)).to.equal(4.2237)
  })

  it('with an old cover: what it leaves is how its maker likes it', () => {
    const file = metricFile({
      object: { kind: 'hardcover' },
      sizing: { mode: 'computed' },
      options: { flapDepth: '60 mm' },
      oldCover: { width: { finished: '350 mm', ease: '3 mm' }, height: { finished: '250 mm' } },
    })
    const plan = planFrom(file)
    // the same again: 350 + 12 + 1, 250 + 13
    expect(exactOf(plan, 'outer')).to.deep.equal([363, 263])
    expect(plan.fits.map(({ ease }) => toJsonMm(ease))).to.deep.equal([3, 5])
  })

  it('with a rule of one’s own, that brings its seam and its options', () => {
    const rule = {
      name: 'Hut rule',
      measure: 'wrap' as const,
      addWidth: '30 mm',
      addHeight: '20 mm',
      seam: '10 mm',
      options: { flapDepth: '50 mm' },
    }
    const { seam: _seam, ...file } = metricFile({ sizing: { mode: 'recipe', recipe: rule } })
    const plan = planFrom(file)
    // 340 + 30 by 240 + 20; flap 2·(50 + 10)
    expect(exactOf(plan, 'outer')).to.deep.equal([370, 260])
    expect(cutOf(plan, 'flap')).to.equal('2 × 120 mm × 260 mm')
    const stated = planFrom({ ...file, seam: '8 mm' })
    expect(findingOf(stated, 'recipe-changed').data).to.deep.include({ recipe: 'Hut rule' })
  })
})
