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
    // room in the board 160 − 10 = 150; the strap ends at 100 + 12 − 6 + 38 = 144: the whole room stays free
    // 100 + (340 + 2 + 1.27627 + 5) + 150 + 12 + 1 = 611.2763
    expect(exactOf(plan, 'outer')).to.deep.equal([611.2763, 261.2763])
    expect(cutOf(plan, 'outer')).to.equal('1 × 612 mm × 262 mm')
    // 612 − 13 − 100 − 348.27627
    expect(panelsOf(plan)).to.deep.include({ 'fixed-flap': 100, 'free-end': 150.7237 })
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
    // s = 0.25 + 0.15625, as before; 612 − 12, 262 − 12
    expect(cutOf(faced, 'interfacing')).to.equal('1 × 600 mm × 250 mm')
  })

  it('judges the height only, and lists whom it serves', () => {
    const json = planToJson(plan, 'mm')
    expect(Object.keys(json.ease ?? {})).to.deep.equal(['height'])
    expect(json.serves).to.deep.equal([{ book: 1, free: { mm: 150.7237 }, served: true }])
  })

  it('keeps the strap off the fold where the board is too narrow for both', () => {
    // room 145 − 10 = 135 is under 144: the free end stops ¼ in before the strap, 106 − 6 = 100
    const narrow = wrapFor([book({ width: '145 mm' })])
    // body 2·145 + 20 + 8.27627 = 318.27627; 100 + 318.27627 + 100 + 13 = 531.28 → 532; free 532 − 13 − 100 − 318.27627
    expect(servesOf(narrow)).to.deep.equal([[100.72, 'served']])
  })
})

describe('whom an adjustable wrap serves', () => {
  it('follows from the free end that each book leaves', () => {
    const plan = wrapFor([book(), book({ thickness: '12 mm' }), book({ height: '220 mm' })])
    // the thinner leaves 8 more: 158.72 over 150 and a millimetre
    expect(servesOf(plan)).to.deep.equal([
      [150.72, 'served'],
      [158.72, 'free-too-long'],
      [150.72, 'too-low'],
    ])
    expect(codesOf(plan).filter(code => code === 'book-not-served')).to.have.length(2)
    expect(findingOf(plan, 'book-not-served').data).to.include({ book: 2, reason: 'free-too-long' })
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
    // the whole room, 150, serves the thicker only; 144 + 0.72 lies behind the strap’s 144, and leaves 8 more: 152.7
    // is over 150 + 1. Before the strap: 92 leaves 92.7 and 100.7, both up to 100 + 1
    const plan = wrapFor([book(), book({ thickness: '12 mm' })])
    const { repair } = findingOf(plan, 'book-not-served')
    expect(repair).to.include({ kind: 'set-option', option: 'freeFlap' })
    const length = repair?.kind === 'set-option' ? repair.length / 320 : 0
    const mended = wrapFor([book(), book({ thickness: '12 mm' })], { options: { freeFlap: `${length} mm` } })
    expect(servesOf(mended)?.map(([, how]) => how)).to.deep.equal(['served', 'served'])
    expect(codesOf(mended)).not.to.include('book-not-served')
  })

  it('offers the nearest of those that serve as many', () => {
    // strap from 100 to 144 as worked above, and no less than a grip of 76: one book is served by every free end from
    // 76 to 100 and from 144 to 150. On the fold with 120, the nearest of these that leave 0.72 more: 100 is 20 away
    // (the whole of 76 … 100 is), 144 is 24 away
    const [, offered] = ['76 mm', '120 mm'].map(free => {
      const finding = wrapFor([book()], { options: { freeFlap: free } }).findings.find(
        ({ code }) => code === 'book-not-served',
      )
      return finding?.repair?.kind === 'set-option' ? finding.repair.length / 320 : undefined
    })
    expect(offered).to.be.within(98, 101)
    // with 140 the other side is nearer: 4 away instead of 40
    const far = findingOf(wrapFor([book()], { options: { freeFlap: '140 mm' } }), 'book-not-served').repair
    expect(far?.kind === 'set-option' ? far.length / 320 : 0).to.be.within(142, 146)
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
    expect(free?.works.map(({ from, to }) => [from / 320, to / 320])).to.deep.equal([
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
