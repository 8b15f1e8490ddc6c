import { expect } from 'chai'
import fc from 'fast-check'
import type { CoverFile } from '../file/cover-schema.js'
import { planToJson } from '../file/plan-json.js'
import { readCover } from '../file/read-cover.js'
import { codesOf, coverFile, coverFrom, metricFile, planFrom } from '../file/testing/cover-files.js'
import { toMm } from '../length/length.js'
import { totalOf } from '../piece/reason.js'
import { plan } from './plan.js'

const millimetres = (min: number, max: number) =>
  fc.integer({ min: min * 10, max: max * 10 }).map(tenths => `${tenths / 10} mm`)

/** Covers of every shape that the file allows, sensible or not. */
const anyCover = fc
  .record({
    height: millimetres(10, 1200),
    width: millimetres(10, 1200),
    thickness: millimetres(0.3, 300),
    wrap: fc.option(millimetres(20, 2700)),
    openWidth: fc.option(millimetres(20, 2700)),
    board: fc.option(millimetres(0, 25)),
    spine: fc.constantFrom('flat' as const, 'rounded' as const, 'coil' as const),
    foldsBack: fc.boolean(),
    unit: fc.constantFrom('in' as const, 'cm' as const, 'mm' as const),
    seam: fc.option(millimetres(1, 50)),
    flapStyle: fc.option(fc.constantFrom('folded', 'faced')),
    flapDepth: fc.option(millimetres(10, 600)),
    inset: millimetres(0, 150),
    padding: fc.option(millimetres(0.1, 50)),
    outer: millimetres(0.1, 5),
    quilted: fc.boolean(),
    takeUp: fc.integer({ min: 0, max: 30 }),
    sizing: fc.oneof(
      fc.constant({ mode: 'computed' as const }),
      fc
        .constantFrom('deep-flaps', 'inch-and-a-half', 'two-inches')
        .map(recipe => ({ mode: 'recipe' as const, recipe })),
      fc.record({
        mode: fc.constant('rule' as const),
        measure: fc.constantFrom('open' as const, 'wrap' as const),
        addWidth: millimetres(0, 500),
        addHeight: millimetres(0, 500),
      }),
    ),
    ties: fc.integer({ min: 0, max: 3 }),
  })
  .map((made): CoverFile => {
    const some = <Value>(key: string, value: Value | null) => (value === null ? {} : { [key]: value })
    const list = (key: string, value: string | null) => (value === null ? {} : { [key]: [value] })
    return {
      format: 'snowdrift/cover',
      version: 2,
      unit: made.unit,
      object: {
        kind: 'hardcover',
        spine: made.spine,
        foldsBack: made.foldsBack,
        readings: {
          height: [made.height],
          width: [made.width],
          thickness: [made.thickness],
          ...list('wrap', made.wrap),
          ...list('openWidth', made.openWidth),
          ...list('boardThickness', made.board),
        },
      },
      family: 'slip-cover',
      ...some('seam', made.seam),
      sizing: made.sizing,
      options: { ...some('flapStyle', made.flapStyle), ...some('flapDepth', made.flapDepth) },
      layers: [
        { role: 'lining', thickness: '0.3 mm' },
        ...(made.padding === null
          ? []
          : [
              {
                role: 'padding' as const,
                thickness: made.padding,
                inset: made.inset,
                takeUp: made.takeUp,
                quilted: made.quilted,
              },
            ]),
        { role: 'outer', thickness: made.outer, quilted: made.quilted },
      ],
      extras: Array.from({ length: made.ties }, () => ({ type: 'tie-pair' })),
    }
  })

function everyNumber(value: unknown): readonly number[] {
  if (typeof value === 'number') return [value]
  if (typeof value === 'object' && value !== null) return Object.values(value).flatMap(everyNumber)
  return []
}

describe('plan()', () => {
  it('is the same for the same cover, and leaves the cover as it was', () => {
    const cover = coverFrom(coverFile())
    const before = JSON.stringify(cover)
    expect(plan(cover)).to.deep.equal(plan(cover))
    expect(JSON.stringify(cover)).to.equal(before)
  })

  it('finds nothing wrong with a cover that is right', () => {
    expect(codesOf(planFrom(coverFile()))).to.deep.equal([])
  })

  it('numbers extras of one kind from the second on', () => {
    const ids = planFrom(coverFile({ extras: [{ type: 'tie-pair' }, { type: 'tie-pair' }] })).notions.map(
      ({ id }) => id,
    )
    expect(ids).to.deep.equal(['ribbon', 'ribbon-2'])
  })

  it('makes ties long enough for half the thickness and a bow', () => {
    // 20/2 + 8 in (203 mm) = 213 mm
    const [ribbon] = planFrom(metricFile({ extras: [{ type: 'tie-pair' }] })).notions
    expect(ribbon?.length && toMm(ribbon.length.cut)).to.equal(213)
    const strips = planFrom(metricFile({ extras: [{ type: 'tie-pair', cutFrom: 'cloth' }] }))
    const strip = strips.pieces.find(({ id }) => id === 'tie-pair')
    expect(strip && [toMm(strip.width.cut), toMm(strip.height.cut), strip.count]).to.deep.equal([213, 76, 2])
  })

  it('answers any cover that can be written: no throw, no NaN, nothing of size nought, sums that add up', () => {
    fc.assert(
      fc.property(anyCover, file => {
        const read = readCover(file)
        if (!read.ok) throw new Error(JSON.stringify(read.issues))
        const planned = plan(read.value)
        const json = planToJson(planned, read.value.unit)
        expect(everyNumber(json).every(Number.isFinite)).to.equal(true)
        for (const { width, height } of planned.pieces)
          for (const side of [width, height]) {
            expect(side.cut).to.be.above(0)
            expect(totalOf(side.reasons)).to.equal(side.exact)
          }
        for (const { message, hint } of json.findings)
          expect(`${message} ${hint}`).not.to.match(/NaN|undefined/)
      }),
      { numRuns: 400 },
    )
  })

  it('never throws on what is no cover', () => {
    fc.assert(
      fc.property(fc.anything({ withNullPrototype: true, withBigInt: true, withDate: true }), input => {
        expect(readCover(input).ok).to.equal(false)
      }),
    )
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(coverFile())),
        fc.anything({ maxDepth: 3 }),
        (key, value) => {
          const read = readCover({ ...coverFile(), [key]: value })
          if (read.ok) expect(planToJson(plan(read.value), read.value.unit).pieces).not.to.have.length(0)
          else expect(read.issues.every(({ message }) => message.length > 10)).to.equal(true)
        },
      ),
      { numRuns: 400 },
    )
  })

  it('never gives a smaller cut for a thicker stack or a larger book', () => {
    const sizes = (padding: number, height: number) => {
      const [outer] = planFrom(
        metricFile({
          object: { kind: 'hardcover', readings: { height: [height], width: [160], thickness: [20] } },
          layers: [
            { role: 'padding', thickness: padding / 10 },
            { role: 'outer', thickness: 0.3 },
          ],
        }),
      ).pieces
      if (!outer) throw new Error('No outer')
      return [outer.width.cut, outer.height.cut] as const
    }
    const tenths = fc.integer({ min: 1, max: 400 })
    const heights = fc.integer({ min: 100, max: 400 })
    fc.assert(
      fc.property(tenths, tenths, heights, heights, (a, b, c, d) => {
        const small = sizes(Math.min(a, b), Math.min(c, d))
        const large = sizes(Math.max(a, b), Math.max(c, d))
        expect(large[0]).to.be.at.least(small[0])
        expect(large[1]).to.be.at.least(small[1])
      }),
    )
  })
})
