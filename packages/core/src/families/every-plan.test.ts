import { expect } from 'chai'
import fc from 'fast-check'
import { extras } from '../extras/registry.js'
import type { CoverFile, TypedLayer } from '../file/cover-schema.js'
import { planToJson } from '../file/plan-json.js'
import { planFrom } from '../file/testing/cover-files.js'
import { cuttingGrids } from '../length/grid.js'
import { mm, scale, subtract, toMm } from '../length/length.js'
import { objectKinds, spineShapes } from '../object/kind.js'
import { totalOf } from '../piece/reason.js'
import { families } from './registry.js'

const millimetres = (least: number, most: number) =>
  fc.integer({ min: least * 10, max: most * 10 }).map(tenths => [`${tenths / 10} mm`])

const thing = fc.record({
  kind: fc.constantFrom(...objectKinds),
  spine: fc.constantFrom(...spineShapes),
  foldsBack: fc.boolean(),
  readings: fc.record({
    height: millimetres(80, 400),
    width: millimetres(60, 300),
    thickness: millimetres(2, 70),
    boardThickness: millimetres(0, 5),
    pageHeight: millimetres(80, 400),
    pageWidth: millimetres(60, 300),
    contentsThickness: millimetres(2, 60),
  }),
})

const layers = fc
  .tuple(fc.boolean(), fc.boolean(), fc.integer({ min: 10, max: 150 }))
  .map(([lined, padded, outer]): TypedLayer[] => {
    const lining: TypedLayer = { role: 'lining', thickness: '0.25 mm' }
    const quilted = outer % 2 === 0
    const padding: TypedLayer = { role: 'padding', thickness: '3 mm', squash: 0.4, quilted, takeUp: 3 }
    const cloth: TypedLayer = {
      role: 'outer',
      thickness: `${outer / 100} mm`,
      stretchAlong: 1,
      stretchAcross: 2,
    }
    return [...(lined ? [lining] : []), ...(padded ? [padding] : []), cloth]
  })

const cover = fc.record({
  family: fc.constantFrom(...families.map(({ id }) => id)),
  object: thing,
  layers,
  unit: fc.constantFrom('in' as const, 'cm' as const, 'mm' as const),
  grid: fc.constantFrom('1/16 in', '1/8 in', '1/4 in', '1 mm', '2 mm', '5 mm'),
  extras: fc.uniqueArray(fc.constantFrom(...extras.map(({ type }) => type)), { maxLength: 4 }),
})

const fileOf = ({
  extras: added,
  ...rest
}: typeof cover extends fc.Arbitrary<infer Drawn> ? Drawn : never): CoverFile => ({
  format: 'snowdrift/cover',
  version: 2,
  ...rest,
  extras: added.map(type => ({ type })),
})

describe('a plan of anything, made any way, with anything added', () => {
  it('adds up: reasons to the exact size, the cut within one step of the grid', () => {
    fc.assert(
      fc.property(cover, drawn => {
        const plan = planFrom(fileOf(drawn))
        const step = Math.max(...cuttingGrids)
        for (const { width, height } of plan.pieces)
          for (const { reasons, exact, cut } of [width, height]) {
            expect(totalOf(reasons)).to.equal(exact)
            expect(Math.abs(cut - exact)).to.be.at.most(step)
          }
      }),
      { numRuns: 300 },
    )
  })

  it('rounds up whatever must be large enough, and down only what must stay inside', () => {
    /** A hair over a mark is forgiven. Glued or laid within other pieces: padding and interfacing only where they have an inset of their own. */
    const forgiven = mm(0.05)
    const within = new Set(['padding', 'interfacing', 'pastedown', 'stiffener'])
    fc.assert(
      fc.property(cover, drawn => {
        const { pieces, notions } = planFrom(fileOf(drawn))
        for (const { id, role, width, height } of pieces)
          if (!within.has(id) && role !== 'card')
            for (const { exact, cut } of [width, height])
              expect(cut, id).to.be.at.least(subtract(exact, forgiven))
        for (const { id, length } of notions)
          if (length) expect(length.cut, id).to.be.at.least(subtract(length.exact, forgiven))
      }),
      { numRuns: 300 },
    )
  })

  it('says what is needed, what comes out and the difference', () => {
    fc.assert(
      fc.property(cover, drawn => {
        for (const { needed, finished, ease, parts } of planFrom(fileOf(drawn)).fits)
          expect(toMm(scale(ease, parts))).to.be.closeTo(toMm(finished) - toMm(needed), 0.001)
      }),
      { numRuns: 200 },
    )
  })

  it('computed, always goes on', () => {
    fc.assert(
      fc.property(cover, drawn => {
        // folds that are set on the book have 1.5 mm, all else 5 and more
        for (const { ease } of planFrom(fileOf(drawn)).fits) expect(toMm(ease)).to.be.at.least(1.4)
      }),
      { numRuns: 200 },
    )
  })

  it('calls no two pieces and no two notions the same', () => {
    fc.assert(
      fc.property(cover, drawn => {
        const { pieces, notions } = planToJson(planFrom(fileOf(drawn)), drawn.unit)
        for (const list of [pieces, notions])
          expect(new Set(list.map(({ id }) => id)).size).to.equal(list.length)
      }),
      { numRuns: 200 },
    )
  })

  it('is the same every time', () => {
    fc.assert(
      fc.property(cover, drawn => {
        expect(planFrom(fileOf(drawn))).to.deep.equal(planFrom(fileOf(drawn)))
      }),
      { numRuns: 50 },
    )
  })
})
