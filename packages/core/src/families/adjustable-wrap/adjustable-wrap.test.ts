import { expect } from 'chai'
import type { CoverFile, TypedObject } from '../../file/cover-schema.js'
import {
  codesOf,
  cutOf,
  everyReading,
  exactOf,
  familyFile,
  findingOf,
  panelsOf,
  planFrom,
} from '../../file/testing/cover-files.js'
import { planToJson } from '../../file/plan-json.js'
import { readCover } from '../../file/read-cover.js'

const book = (changes: Readonly<Record<string, string>> = {}): TypedObject => ({
  kind: 'softcover',
  readings: Object.fromEntries(
    Object.entries({
      height: '240 mm',
      width: '160 mm',
      thickness: '20 mm',
      boardThickness: '2 mm',
      ...changes,
    }).map(([key, value]) => [key, [value]]),
  ),
})
const wrapFor = (objects: TypedObject[], changes: Partial<CoverFile> = {}) => {
  const { object: _object, ...file } = familyFile('adjustable-wrap', changes)
  return planFrom({ ...file, objects })
}
const servesOf = (plan: ReturnType<typeof planFrom>) =>
  plan.serves?.map(({ free, reason }) => [Math.round((free / 320) * 100) / 100, reason ?? 'served'])

describe('an adjustable wrap', () => {
  const plan = planFrom(familyFile('adjustable-wrap', { object: everyReading }))

  it('is as wide as fixed flap, the largest book and the free end', () => {
    // the strap begins 100 + 12 − 6 = 106 behind the tip, its near limit is 100: midway from the grip of 76, 88
    // 100 + (340 + 2 + 1.27627 + 5) + 88 + 12 + 1 = 549.2763
    expect(exactOf(plan, 'outer')).to.deep.equal([549.2763, 261.2763])
    expect(cutOf(plan, 'outer')).to.equal('1 × 550 mm × 262 mm')
    // 550 − 13 − 100 − 348.27627
    expect(panelsOf(plan)).to.deep.include({ 'fixed-flap': 100, 'free-end': 88.7237 })
  })

  it('cuts two strips for the strap, to be measured first', () => {
    // 262 + 12 by 76
    expect(cutOf(plan, 'strap')).to.equal('2 × 274 mm × 76 mm')
    expect(plan.pieces.find(({ id }) => id === 'strap')?.measureFirst).to.equal(true)
  })

  it('insets the interfacing by a quarter unless said', () => {
    const faced = planFrom(
      familyFile('adjustable-wrap', {
        layers: [
          { role: 'interfacing', thickness: '0.25 mm' },
          { role: 'outer', thickness: '0.3125 mm' },
        ],
      }),
    )
    // s = 0.25 + 0.15625, as before; 550 − 12, 262 − 12
    expect(cutOf(faced, 'interfacing')).to.equal('1 × 538 mm × 250 mm')
  })

  it('judges the height only, and lists whom it serves', () => {
    const json = planToJson(plan, 'mm')
    expect(Object.keys(json.ease ?? {})).to.deep.equal(['height'])
    expect(json.serves).to.deep.equal([{ book: 1, free: { mm: 88.7237 }, served: true }])
  })

  it('leaves no more free than the board takes', () => {
    // 90 − 10 = 80 is under 88; body 2·90 + 20 + 8.27627 = 208.27627; 100 + that + 80 + 13 = 401.28 → 402
    const narrow = wrapFor([book({ width: '90 mm' })], { options: { fixedFlap: '70 mm' } })
    // 70 + 208.27627 + 80 + 13 = 371.28 → 372; 372 − 13 − 70 − 208.27627
    expect(servesOf(narrow)).to.deep.equal([[80.72, 'served']])
  })

  it('serves the most of a series, and keeps farthest from every limit', () => {
    // thinner by 2 and 12 each: they leave 2 and 12 more of the free end f. Before the strap all three from
    // 76 ≤ f and f + 12 ≤ 100: f from 76 to 88, the middle 82. With 0.7237 that rounding adds, 81 keeps 5.72 and 6.28
    const series = wrapFor([book(), book({ thickness: '18 mm' }), book({ thickness: '8 mm' })])
    expect(servesOf(series)).to.deep.equal([
      [81.72, 'served'],
      [83.72, 'served'],
      [93.72, 'served'],
    ])
  })

  it('pads the whole strip, flaps and all, and rises over the padding only as far as it slopes', () => {
    const padded = planFrom(
      familyFile('adjustable-wrap', {
        layers: [
          { role: 'padding', thickness: '2 mm' },
          { role: 'outer', thickness: '0.3125 mm' },
        ],
      }),
    )
    // s = s_f = 2.15625; c = 12 − 6 = 6, c′ = 5: 242 + π·(0.15625 + 2.15625)/2 + (π/2)·(√29 − 5)
    // = 242 + 3.63247 + 0.60500 = 246.23747; + 5 + 12 + 1
    expect(exactOf(padded, 'outer')[1]).to.be.closeTo(264.2375, 2e-4)
    expect(cutOf(padded, 'padding')).to.contain('241 mm')
  })
})

describe('whom an adjustable wrap serves', () => {
  it('follows from the free end that each book leaves', () => {
    const plan = wrapFor(
      [
        book({ thickness: '50 mm' }),
        book({ thickness: '10 mm' }),
        book({ thickness: '50 mm', height: '220 mm' }),
      ],
      {
        options: { freeFlap: '90 mm' },
      },
    )
    // the thinner leaves 40 more: the strap lies on its fold
    expect(servesOf(plan)).to.deep.equal([
      [90.72, 'served'],
      [130.72, 'strap-on-fold'],
      [90.72, 'too-short'],
    ])
    expect(codesOf(plan).filter(code => code === 'book-not-served')).to.have.length(2)
    expect(findingOf(plan, 'book-not-served').data).to.include({ book: 2, reason: 'strap-on-fold' })
  })

  it('says when the free end is too short to grip, or the fixed flap too deep', () => {
    const options = { freeFlap: '90 mm' }
    // the thicker takes 20 more: 70.7 under 76 − 1
    expect(
      servesOf(wrapFor([book(), book({ thickness: '40 mm' })], { options: { freeFlap: '60 mm' } }))?.[1]?.[1],
    ).to.equal('grip-too-short')
    expect(servesOf(wrapFor([book()], { options }))).to.deep.equal([[90.72, 'served']])
    // 160 over 150 + 1
    expect(servesOf(wrapFor([book()], { options: { ...options, fixedFlap: '160 mm' } }))?.[0]?.[1]).to.equal(
      'fixed-too-long',
    )
  })

  it('offers the free end that serves the most, where one serves more', () => {
    // 150 serves the thicker only: 158.7 is over 150 + 1. Before the strap both are served, 84 leaves 84.7 and 92.7
    const plan = wrapFor([book(), book({ thickness: '12 mm' })], { options: { freeFlap: '150 mm' } })
    const { repair } = findingOf(plan, 'book-not-served')
    expect(repair).to.include({ kind: 'set-option', option: 'freeFlap' })
    const length = repair?.kind === 'set-option' ? repair.length / 320 : 0
    const mended = wrapFor([book(), book({ thickness: '12 mm' })], { options: { freeFlap: `${length} mm` } })
    expect(servesOf(mended)?.map(([, how]) => how)).to.deep.equal(['served', 'served'])
    expect(codesOf(mended)).not.to.include('book-not-served')
  })

  it('offers what keeps farthest from every limit', () => {
    // one book is served from 76 to 100 and from 144 to 150; with the 0.7237 that rounding adds, 87 keeps 11.72 from
    // the grip and 12.28 from the strap
    const { repair } = findingOf(wrapFor([book()], { options: { freeFlap: '120 mm' } }), 'book-not-served')
    expect(repair?.kind === 'set-option' ? repair.length / 320 : 0).to.equal(87)
  })

  it('forgives a fixed flap a step of the grid', () => {
    // the board takes 150: 150.5 is within a millimetre of it, 151.5 is not
    const reasonWith = (fixedFlap: string) =>
      servesOf(wrapFor([book()], { options: { freeFlap: '90 mm', fixedFlap } }))?.[0]?.[1]
    expect([reasonWith('150.5 mm'), reasonWith('151.5 mm')]).to.deep.equal(['served', 'fixed-too-long'])
  })

  it('names the side of the strap that is nearer', () => {
    const limitWith = (freeFlap: string) => {
      const { data } = findingOf(wrapFor([book()], { options: { freeFlap } }), 'book-not-served')
      return 'limit' in data && typeof data.limit === 'number' ? data.limit / 320 : undefined
    }
    // up to 106 − 6 = 100 before it, from 144 behind it: 110.7 is nearer the one, 140.7 the other
    expect([limitWith('110 mm'), limitWith('140 mm')]).to.deep.equal([100, 144])
  })

  it('keeps rooms from the grip to the strap, and from behind the strap to the whole board', () => {
    const { clearances = [] } = wrapFor([book()])
    const free = clearances.find(({ name }) => name === 'free end')
    // 76 − 1; the strap from 106 to 144, a step before its end; the board of 160
    expect(free?.works.map(({ from, to }) => [from / 320, (to ?? 0) / 320])).to.deep.equal([
      [75, 106],
      [143, 160],
    ])
  })

  it('offers a shorter fixed flap where no free end helps, and nothing where no size does', () => {
    const options = { freeFlap: '90 mm', fixedFlap: '160 mm' }
    // the board takes 160 − 10 = 150
    expect(findingOf(wrapFor([book()], { options }), 'book-not-served').repair).to.deep.equal({
      kind: 'set-option',
      option: 'fixedFlap',
      name: 'fixed flap',
      length: 150 * 320,
    })
    const low = wrapFor([book(), book({ height: '220 mm' })])
    expect(findingOf(low, 'book-not-served').repair).to.equal(undefined)
  })

  it('says when the strap would lie on the fold', () => {
    // between 100 and 144 the strap is on it
    expect(servesOf(wrapFor([book()], { options: { freeFlap: '120 mm' } }))?.[0]?.[1]).to.equal(
      'strap-on-fold',
    )
  })

  it('reads one thing or a list, not both, and needs every reading of each', () => {
    const { object, ...file } = familyFile('adjustable-wrap')
    const read = (changes: object) => {
      const result = readCover({ ...file, ...changes })
      return result.ok ? [] : result.issues.map(({ path }) => path)
    }
    expect(read({ objects: [book(), book()] })).to.deep.equal([])
    expect(read({ object, objects: [book()] })).to.deep.equal(['objects'])
    expect(read({ objects: [book(), { kind: 'softcover', readings: { width: ['100'] } }] })).to.deep.equal([
      'objects[1].readings.height',
      'objects[1].readings',
    ])
    expect(read({ family: 'slip-cover', objects: [book()] })).to.deep.equal(['objects'])
  })
})
