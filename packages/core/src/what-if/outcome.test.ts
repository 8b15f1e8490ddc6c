import { expect } from 'chai'
import type { CoverFile, TypedLayer } from '../file/cover-schema.js'
import { coverFrom, familyFile } from '../file/testing/cover-files.js'
import { toJsonMm } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { whatIfs } from './kinds.js'
import { applicable, reckonOutcome } from './outcome.js'
import { whatIfIds, type WhatIfId } from './what-if.js'

const plannedFrom = (file: CoverFile) => {
  const cover = coverFrom(file)
  return { cover, plan: plan(cover) }
}
const outcome = (file: CoverFile, ...ids: WhatIfId[]) => reckonOutcome(plannedFrom(file), ids)
const easeOf = (file: CoverFile, ...ids: WhatIfId[]) =>
  outcome(file, ...ids).fits.map(({ ease }) => toJsonMm(ease))
const slip = (changes: Partial<CoverFile> = {}) => familyFile('slip-cover', changes)
const padded = (changes: Partial<TypedLayer> = {}): CoverFile =>
  slip({
    layers: [
      { role: 'padding', thickness: '2 mm', ...changes },
      { role: 'outer', thickness: '0.5 mm', shrinkage: 3 },
    ],
  })

// 340 + 2 + π·0.40625 + 5 + 13 = 361.27627, cut 362: 0.72373 over the ease of 5
// 240 + 2 + π·(0.40625 + 0.46875)/2 + 5 + 13 = 261.37445, cut 262: 0.62555 over it
describe('what if', () => {
  const [width, height] = easeOf(slip())

  it('nothing goes otherwise, all is as planned', () => {
    expect([width, height]).to.deep.equal([5.7237, 5.6256])
    expect(outcome(slip()).pieces).to.deep.equal([])
  })

  it('it is cut an eighth short: the ease is 3 mm less both ways, and so are the pieces', () => {
    expect(easeOf(slip(), 'cut-short')).to.deep.equal([2.7237, 2.6256])
    expect(
      outcome(slip(), 'cut-short').pieces.map(({ id, width: wide, why }) => [id, toJsonMm(wide), why]),
    ).to.deep.equal([
      ['outer', 359, 'slip'],
      ['lining', 359, 'slip'],
      // every piece, the flaps too: 172 − 3
      ['flap', 169, 'slip'],
    ])
  })

  it('the seam is an eighth wider: 2·3 mm less', () => {
    const { fits, missing, pieces } = outcome(slip(), 'wide-seam')
    expect(fits.map(({ ease, verdict }) => [toJsonMm(ease), verdict])).to.deep.equal([
      [-0.2763, 'will-not-go'],
      [-0.3744, 'will-not-go'],
    ])
    expect(toJsonMm(missing.width)).to.equal(0.2763)
    // with 9 mm of seam from the start: 361.27627 + 6 → 368
    expect(pieces.find(({ id }) => id === 'outer')).to.include({ why: 'instead', width: 368 * 320 })
  })

  it('high-loft batting goes in: π times what the stack gains', () => {
    // 8·(1 − 0.6/2) − 2 = 3.6 more: π·3.6 = 11.3097 in width. In height it slopes away, 12 − 6 − 1 = 5 inside the
    // board’s edge: (π/2)·(√(25 + 5.6²) − √(25 + 2²)) = (π/2)·(7.50733 − 5.38516)
    const [before = 0, beforeHeight = 0] = easeOf(padded())
    const [after = 0, afterHeight = 0] = easeOf(padded(), 'high-loft')
    expect(before - after).to.be.closeTo(11.3097, 2e-4)
    expect(beforeHeight - afterHeight).to.be.closeTo(3.3335, 2e-4)
  })

  it('the spine is forgotten: as much less as it takes', () => {
    expect(easeOf(slip(), 'forgot-spine')).to.deep.equal([-14.2763, 5.6256])
    // read as a wrap, it is the spine all the same; of a device its thickness, half of it at the bottom
    const readings = { height: ['240 mm'], wrap: ['340 mm'], thickness: ['20 mm'] }
    expect(easeOf(slip({ object: { kind: 'softcover', readings } }), 'forgot-spine')[0]).to.be.closeTo(
      (easeOf(slip({ object: { kind: 'softcover', readings } }))[0] ?? 0) - 20,
      1e-3,
    )
    const sleeve = familyFile('sleeve')
    const [wide = 0, high = 0] = easeOf(sleeve)
    expect(easeOf(sleeve, 'forgot-spine')).to.deep.equal(
      [wide - 20, high - 10].map(ease => Math.round(ease * 1e4) / 1e4),
    )
  })

  it('height and width change places: 2·240 + 20 instead of 2·160 + 20', () => {
    // 160 more in width, 80 less in height
    expect(easeOf(slip(), 'swapped-sides')).to.deep.equal([165.7237, -74.3744])
    expect(outcome(slip(), 'swapped-sides').pieces.map(({ id }) => id)).to.include('outer')
  })

  it('a jacket is on: 0.4 mm round spine and boards', () => {
    expect(easeOf(slip(), 'dust-jacket')).to.deep.equal([4.9237, 5.2256])
  })

  it('it is washed: what shrinks most takes its share of the finished size', () => {
    // finished 349 and 247 + …: 3 % of it
    const [before] = outcome(padded()).fits
    const [after] = outcome(padded(), 'washed').fits
    expect(toJsonMm(after?.finished ?? (0 as never))).to.be.closeTo(
      toJsonMm(before?.finished ?? (0 as never)) * 0.97,
      1e-3,
    )
  })

  it('quilted plies are not cut larger: the take-up is lacking, give or take a third', () => {
    const quilted = padded({ quilted: true, takeUp: 4 })
    const [before] = outcome(quilted).fits
    const [after] = outcome(quilted, 'untrimmed').fits
    const cut = plannedFrom(quilted).plan.pieces.find(({ trimTo }) => trimTo)?.trimTo?.width ?? 0
    expect((before?.finished ?? 0) - (after?.finished ?? 0)).to.be.closeTo(cut * 0.04, 1)
    expect(after?.making.takenUp).to.be.closeTo(cut * 0.04, 1)
  })

  it('several go wrong together', () => {
    // 5.72373 − 3 − 6 − 20
    expect(easeOf(slip(), 'wide-seam', 'cut-short', 'forgot-spine')[0]).to.equal(-23.2763)
  })

  it('sides swapped and the spine forgotten cut shorter than sides swapped alone, by the spine', () => {
    const outerOf = (...ids: WhatIfId[]) => {
      const piece = outcome(slip(), ...ids).pieces.find(({ id }) => id === 'outer')
      return [toJsonMm(piece?.width ?? (0 as never)), toJsonMm(piece?.height ?? (0 as never))]
    }
    // 2·240 + 20 + 2 + 1.27627 + 5 + 13 = 521.27627 → 522; 160 + 21.37445 = 181.37 → 182
    expect(outerOf('swapped-sides')).to.deep.equal([522, 182])
    expect(outerOf('swapped-sides', 'forgot-spine')).to.deep.equal([502, 182])
    expect(outerOf('swapped-sides', 'forgot-spine', 'cut-short')).to.deep.equal([499, 179])
    // the flap is no part of what lies round the spine
    expect(outcome(slip(), 'forgot-spine').pieces.map(({ id }) => id)).to.deep.equal(['outer', 'lining'])
  })

  it('says why some cannot happen', () => {
    const cannot = (file: CoverFile, id: WhatIfId) =>
      whatIfs.find(what => what.id === id)?.cannot(plannedFrom(file))
    expect(cannot(slip(), 'high-loft')).to.equal('it has no padding')
    expect(cannot(slip(), 'washed')).to.equal('none of its layers shrinks any more')
    expect(cannot(slip(), 'untrimmed')).to.contain('nothing in it is quilted')
    expect(cannot(familyFile('sleeve'), 'dust-jacket')).to.contain('no jacket')
    expect(cannot(slip(), 'cut-short')).to.equal(undefined)
    expect(applicable(plannedFrom(slip()), whatIfIds).map(({ id }) => id)).to.deep.equal([
      'cut-short',
      'wide-seam',
      'forgot-spine',
      'swapped-sides',
      'dust-jacket',
    ])
  })

  it('moves no width that is folded on the book', () => {
    const turned = familyFile('turned-flap-cover')
    expect(easeOf(turned, 'cut-short')[0]).to.equal(easeOf(turned)[0])
    expect(easeOf(turned, 'cut-short')[1]).to.be.closeTo((easeOf(turned)[1] ?? 0) - 3, 1e-9)
  })

  it('is said in one sentence each', () => {
    const planned = plannedFrom(padded({ quilted: true, takeUp: 4 }))
    for (const { id, happens } of whatIfs)
      expect(
        happens(planned, length => `${toJsonMm(length)} mm`),
        id,
      ).to.match(/^[A-Z].*\.$/)
  })
})
