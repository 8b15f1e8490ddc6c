import { expect } from 'chai'
import fc from 'fast-check'
import { inches, mm, toInches, toMm, zero, type Length } from '../length/length.js'
import { nest } from '../nest/nest.js'
import { plan } from '../plan/plan.js'
import { cutFrom, groupPieces, type CoverToCut } from './group.js'
import { turnOf } from './turns.js'
import { needNotions, weighNotions } from './notions.js'
import type { ShopOffer } from './offer.js'
import { boughtCloth, layoutRequestOf } from './request-of.js'
import { checkTurnedCard } from './turned-card.js'
import { lengthToBuy, weighPurchases } from './shopping.js'
import { afterWash, beforeWash } from './shrink.js'
import { notebookCover } from './testing/notebook.js'

function coverToCut(id: string, changes: object = {}): CoverToCut {
  const cover = notebookCover({
    layers: [
      { role: 'lining', name: 'Fog', thickness: '0.28 mm' },
      { role: 'padding', name: 'Fleece', thickness: '3 mm' },
      { role: 'outer', name: 'Larch', thickness: '0.28 mm', shrinkage: 4, print: 'one-way' },
    ],
    ...changes,
  })
  return {
    id,
    name: id,
    pieces: plan(cover).pieces,
    stack: cover.stack,
    cutFrom: cover.cutFrom,
  }
}

const one = coverToCut('one')
const options = { cuts: 'scissors' as const, unit: 'in' as const, sheets: [], pins: {}, budgetMs: 50 }
const layOut = (request: Parameters<typeof nest>[0]) => {
  let time = 0
  return nest(request, () => (time += 1))
}

describe('the pieces of covers, by what they are cut from', () => {
  it('with a cloth of their own stand by themselves, with its print, whatever their role', () => {
    const own = coverToCut('own', {
      cloths: [{ role: 'outer', name: 'Moss', thickness: '0.4 mm', print: 'two-way' }],
      cutFrom: { flap: 'Moss', lining: 'Larch' },
    })
    const groups = groupPieces([own])
    expect(groups.map(({ key, pieces }) => [key, pieces.map(({ piece }) => piece)])).to.deep.equal([
      ['outer larch', ['outer', 'lining']],
      ['padding fleece', ['padding']],
      ['outer moss', ['flap', 'flap']],
    ])
    expect(groups.at(-1)?.pieces.map(({ turn }) => turn)).to.deep.equal(['half', 'half'])
    expect(groups.at(-1)?.thickness).to.equal(0.4 * 320)
  })

  it('of card lie across their grain only where a sheet yields them all only so, and that is said', () => {
    const linings = groupPieces([
      coverToCut('case', {
        object: { kind: 'journal', readings: { pageWidth: ['5 3/4'], pageHeight: ['8 1/4'] } },
        family: 'board-cover',
      }),
    ]).find(({ role }) => role === 'card')
    if (!linings) throw new Error('No card')
    // two linings 6 × 8 1/2 and the spine’s 2 3/4 × 8 1/2: 14 3/4 in wide and ½ for scissors, all along the grain
    const on = (width: number, length: number) => {
      const sheet = { id: 'card', width: inches(width), length: inches(length), washed: true }
      const request = layoutRequestOf(linings, { ...options, sheets: [sheet] })
      if (!request) throw new Error('No request')
      const layout = layOut(request)
      return [layout.unplaced.length, checkTurnedCard(linings, layout).map(({ code }) => code)]
    }
    expect(on(15.5, 9)).to.deep.equal([0, []])
    // 9 wide: the linings one above the other and turned, 6 + ¼ + 6 + ¼ + 2 3/4, the spine’s turned with them
    expect(on(9, 15.5)[0]).to.equal(0)
    expect(on(9, 15.5)[1]).to.include('card-turned')
  })

  it('stand together by role and material, a copy each', () => {
    const groups = groupPieces([one])
    expect(groups.map(({ key, pieces }) => [key, pieces.map(({ label }) => label)])).to.deep.equal([
      ['outer larch', ['outer', 'flap 1', 'flap 2']],
      ['lining fog', ['lining']],
      ['padding fleece', ['padding']],
    ])
  })

  it('of several covers come from the same cloth where its name is the same', () => {
    const groups = groupPieces([one, coverToCut('two')])
    expect(groups).to.have.length(3)
    expect(groups[0]?.pieces.map(({ label }) => label)).to.deep.equal([
      'outer · one',
      'flap 1 · one',
      'flap 2 · one',
      'outer · two',
      'flap 1 · two',
      'flap 2 · two',
    ])
    const ids = groups.flatMap(({ pieces }) => pieces.map(({ id }) => id))
    expect(new Set(ids).size).to.equal(ids.length)
  })

  it('follow the cloth that they are cut from', () => {
    const plain = groupPieces([coverToCut('x', { layers: [{ role: 'outer', thickness: '0.3 mm' }] })])[0]
    if (!plain) throw new Error('no group')
    const turns = (print: 'none' | 'one-way' | 'two-way') =>
      new Set(cutFrom(plain, { print, shrinkage: 3 }).pieces.map(({ turn }) => turn))
    expect([turns('none'), turns('two-way'), turns('one-way')].map(all => [...all])).to.deep.equal([
      ['quarter'],
      ['half'],
      ['none'],
    ])
    expect(cutFrom(plain, { shrinkage: 3, washed: true })).to.include({ shrinkage: 3, washed: true })
  })

  it('turn as print and grain allow', () => {
    const turnsWith = (print: string) => {
      const layers = [{ role: 'outer', thickness: '0.3 mm', print }]
      return groupPieces([coverToCut('x', { layers })])[0]?.pieces.map(({ turn }) => turn)
    }
    expect(turnsWith('one-way')).to.deep.equal(['none', 'none', 'none'])
    expect(turnsWith('two-way')).to.deep.equal(['half', 'half', 'half'])
    expect(turnsWith('none')).to.deep.equal(['quarter', 'quarter', 'quarter'])
    // a strip runs along the grain; on the bias, cut from a square, it has none, and padding has none either
    const long = { reasons: [], exact: inches(24), cut: inches(24) }
    const narrow = { reasons: [], exact: inches(2), cut: inches(2) }
    const strip = { id: 'strap', role: 'outer', count: 1, width: long, height: narrow } as const
    const plain = { print: 'none' } as const
    expect(turnOf(strip, plain)).to.equal('half')
    expect(turnOf({ ...strip, blank: long }, plain)).to.equal('quarter')
    expect(turnOf({ ...strip, role: 'padding' }, plain)).to.equal('quarter')
    // six times as long as wide it is one, shorter not
    expect(turnOf({ ...strip, height: { ...narrow, cut: inches(4) } }, plain)).to.equal('half')
    expect(turnOf({ ...strip, height: { ...narrow, cut: inches(4.1) } }, plain)).to.equal('quarter')
    const boards = groupPieces([
      coverToCut('case', {
        family: 'board-cover',
        object: {
          kind: 'journal',
          readings: { pageWidth: ['5'], pageHeight: ['8'], contentsThickness: ['1/2'] },
        },
        layers: [{ role: 'outer', thickness: '0.3 mm' }],
      }),
    ])
    expect(boards.find(({ role }) => role === 'board')?.pieces.every(({ turn }) => turn === 'half')).to.equal(
      true,
    )
  })
})

describe('what is asked of the search', () => {
  const [outer] = groupPieces([one])
  if (!outer) throw new Error('no outer')

  it('counts cloth as what the wash leaves of it', () => {
    const sheets = [
      { id: 'raw', width: inches(20), length: inches(30), washed: false },
      { id: 'washed', width: inches(20), length: inches(30), washed: true },
    ]
    const request = layoutRequestOf(outer, { ...options, sheets, buyWidth: inches(50) })
    // 4 % of 20 is 0.8, of 30 1.2, of 50 2.
    const inMm = (length: Length | undefined) => length && Math.round(10 * toMm(length)) / 10
    // 4 % of 508 mm is 20.3, of 762 30.5, of 1270 50.8.
    expect(request?.cloths.map(({ id, width, length }) => [id, inMm(width), inMm(length)])).to.deep.equal([
      ['raw', 487.7, 731.5],
      ['washed', 508, 762],
      [boughtCloth, 1219.2, undefined],
    ])
    expect(request?.gap).to.equal(inches(1 / 4))
  })

  it('draws in with the wash what is to be avoided, and lets go of a pin over it', () => {
    const place = { x: inches(10), y: inches(5), width: inches(2), height: inches(1) }
    const sheet = { id: 'raw', width: inches(40), length: inches(30), washed: false, avoid: [place] }
    const [first] = outer.pieces
    const asked = (x: number) => {
      const pins = { [first?.id ?? '']: { cloth: 'raw', sheet: 1, x: inches(x), y: zero, turned: false } }
      return layoutRequestOf(outer, { ...options, sheets: [sheet], pins })
    }
    // 4 % less: 10 and 12 in come to 9.6 and 11.52, 5 and 6 to 4.8 and 5.76.
    const [avoided] = asked(0)?.cloths[0]?.avoid ?? []
    const near = (length: Length | undefined, inchesLong: number) =>
      expect(toMm(length ?? zero)).to.be.closeTo(25.4 * inchesLong, 0.01)
    near(avoided?.x, 9.6)
    near(avoided?.y, 4.8)
    near(avoided?.width, 1.92)
    near(avoided?.height, 0.96)
    expect(asked(0)?.pieces[0]?.pin).to.equal(undefined)
    expect(asked(12)?.pieces[0]?.pin?.x).to.equal(inches(12))
  })

  it('is nothing where there is no cloth', () => {
    expect(layoutRequestOf(outer, options)).to.equal(undefined)
  })

  it('lets go of pins that hold no longer', () => {
    const [first] = outer.pieces
    if (!first) throw new Error('no piece')
    const pinned = (cloth: string, x: Length, turned = false) => {
      const pins = { [first.id]: { cloth, sheet: 1, x, y: zero, turned } }
      return layoutRequestOf(outer, { ...options, buyWidth: inches(42), pins })?.pieces[0]?.pin !== undefined
    }
    expect(pinned(boughtCloth, zero)).to.equal(true)
    expect(pinned('gone', zero)).to.equal(false)
    expect(pinned(boughtCloth, inches(40))).to.equal(false)
    expect(pinned(boughtCloth, zero, true)).to.equal(false)
  })
})

describe('washing before cutting', () => {
  it('takes length ÷ (1 − shrinkage)', () => {
    // 96 ÷ 0.96 = 100
    expect(toMm(beforeWash(mm(96), { shrinkage: 4, washed: false }))).to.equal(100)
    expect(toMm(afterWash(mm(100), { shrinkage: 4, washed: false }))).to.equal(96)
    expect(toMm(beforeWash(mm(96), { shrinkage: 4, washed: true }))).to.equal(96)
  })

  it('leaves at least what was needed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e7 }), fc.integer({ min: 0, max: 30 }), (ticks, shrinkage) => {
        const washing = { shrinkage, washed: false }
        expect(afterWash(beforeWash(ticks as Length, washing), washing)).to.be.at.least(ticks - 1)
      }),
    )
  })
})

describe('what to buy', () => {
  const [outer] = groupPieces([one])
  if (!outer) throw new Error('no outer')
  const request = layoutRequestOf(outer, { ...options, buyWidth: inches(42) })
  if (!request) throw new Error('no request')
  const offer: ShopOffer = {
    id: 'a',
    role: 'outer',
    name: 'A',
    thicknessMm: 0.28,
    shrinkage: 4,
    widthMm: 1100,
    pricePerMetre: 10,
    cuts: [{ name: 'fat quarter', widthMm: 457.2, lengthMm: 533.4, price: 4 }],
    stockMm: 5000,
  }

  it('is the next of the shop’s steps above what is needed before washing', () => {
    // 9 in ÷ 0.96 = 9.375: three eighths of a yard, 13.5 in; in metres 95.25 mm ÷ … 9 in = 228.6 ÷ 0.96 = 238.1: 30 cm.
    expect(toInches(lengthToBuy(inches(9), outer, 'in'))).to.equal(13.5)
    expect(toMm(lengthToBuy(inches(9), outer, 'cm'))).to.equal(300)
  })

  it('is a length off the bolt or standard cuts, the cheaper first', () => {
    const ways = weighPurchases(outer, request, [offer], 'in', layOut)
    expect(ways.map(({ kind }) => kind).toSorted()).to.deep.equal(['cuts', 'length'])
    const bolt = ways.find(({ kind }) => kind === 'length')
    if (bolt?.kind !== 'length') throw new Error('no bolt')
    // The price is for a metre.
    expect(bolt.cost).to.be.closeTo((10 * toMm(bolt.length)) / 1000, 1e-9)
    expect(ways[0]?.cost).to.be.at.most(ways[1]?.cost ?? 0)
  })

  it('puts what is sold out last, whatever it costs', () => {
    const cheap = { ...offer, id: 'b', pricePerMetre: 1, stockMm: 0, cuts: [] }
    const ways = weighPurchases(outer, request, [cheap, offer], 'in', layOut)
    expect(ways.at(-1)?.offer.id).to.equal('b')
    expect(ways.at(-1)?.inStock).to.equal(false)
  })

  it('puts what is like the planned cloth before what is cheaper and another', () => {
    const canvas = { ...offer, id: 'canvas', thicknessMm: 0.75, pricePerMetre: 1 }
    const ways = weighPurchases(outer, request, [canvas, offer], 'in', layOut)
    expect(ways.map(way => [way.offer.id, way.alike])).to.deep.equal([
      ['a', true],
      ['a', true],
      ['canvas', false],
      ['canvas', false],
    ])
    // of a cloth that nobody named, any is alike
    const unnamed = weighPurchases({ ...outer, thickness: zero }, request, [canvas], 'in', layOut)
    expect(unnamed.every(({ alike }) => alike)).to.equal(true)
  })

  it('washes what is bought by its own shrinkage', () => {
    const bolt = (shrinkage: number) =>
      weighPurchases(outer, request, [{ ...offer, shrinkage, cuts: [] }], 'cm', layOut)[0]
    const [shrinks, stays] = [bolt(30), bolt(0)]
    if (shrinks?.kind !== 'length' || stays?.kind !== 'length') throw new Error('no bolt')
    expect(shrinks.length).to.be.above(stays.length)
  })

  it('offers nothing that the pieces do not go on', () => {
    const narrow = {
      ...offer,
      widthMm: 100,
      cuts: [{ name: 'scrap', widthMm: 100, lengthMm: 100, price: 1 }],
    }
    expect(weighPurchases(outer, request, [narrow], 'in', layOut)).to.deep.equal([])
  })
})

describe('notions', () => {
  const need = (kind: 'cord' | 'zip' | 'button', lengths: readonly number[], count = lengths.length) => ({
    kind,
    count,
    lengths: lengths.map(length => inches(length)),
  })
  const stock = (...lengths: readonly number[]) =>
    lengths.map(length => ({ count: 1, length: inches(length) }))

  it('are known by kind, whatever their cover calls them', () => {
    const side = { reasons: [], exact: inches(10), cut: inches(10) }
    const needs = needNotions([
      { id: 'piping-cord', kind: 'cord', count: 2, length: side, measureFirst: false },
      { id: 'zip-loop', kind: 'cord', count: 1, length: side, measureFirst: false },
      { id: 'glue', kind: 'glue', count: 1, measureFirst: false, grams: 4 },
    ])
    expect(needs.map(({ kind, count, lengths }) => [kind, count, lengths.length])).to.deep.equal([
      ['cord', 3, 3],
    ])
  })

  it('come off one piece each: 20 and 10 off 30, not 20 and 20', () => {
    expect(weighNotions(need('cord', [20, 10]), stock(30)).enough).to.equal(true)
    const short = weighNotions(need('cord', [20, 20]), stock(30, 15))
    expect([short.enough, short.missingCount, toInches(short.missingLength)]).to.deep.equal([false, 1, 20])
  })

  it('take the shortest that will do: 10 off 12 leaves the 30 for the 25', () => {
    expect(weighNotions(need('cord', [10, 25]), stock(30, 12)).enough).to.equal(true)
  })

  it('take a whole zip each', () => {
    expect(weighNotions(need('zip', [10, 10]), stock(30)).missingCount).to.equal(1)
    expect(weighNotions(need('zip', [10, 10]), stock(30, 10)).enough).to.equal(true)
  })

  it('are counted where they have no length', () => {
    expect(weighNotions(need('button', [], 3), [{ count: 2 }]).missingCount).to.equal(1)
    expect(weighNotions(need('button', [], 3), [{ count: 2 }, { count: 1 }]).enough).to.equal(true)
  })
})
