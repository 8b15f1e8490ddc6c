import { expect } from 'chai'
import fc from 'fast-check'
import { coverFrom, familyFile, metricFile } from '../../file/testing/cover-files.js'
import type { Cover } from '../../file/cover.js'
import type { CoveredObject } from '../../object/reading.js'
import { plan } from '../../plan/plan.js'
import { coverTakes } from '../takes.js'
import { fewestGroups, leastGroups } from './fewest-groups.js'
import { clothAreas, planSeries } from './series.js'

const book = (height: number, width: number, thickness: number): CoveredObject =>
  coverFrom(
    metricFile({
      object: {
        kind: 'softcover',
        readings: {
          height: [`${height} mm`],
          width: [`${width} mm`],
          thickness: [`${thickness} mm`],
          boardThickness: ['2 mm'],
        },
      },
    }),
  ).object

const slip = coverFrom(metricFile())
const wrap = coverFrom(familyFile('adjustable-wrap', { object: metricFile().object }))

/** Every way to share things out, by whom the first goes with. */
function partitions(count: number): readonly (readonly (readonly number[])[])[] {
  if (count === 0) return [[]]
  return partitions(count - 1).flatMap(groups => [
    ...groups.map((group, at) =>
      groups.map((other, index) => (index === at ? [...group, count - 1] : other)),
    ),
    [...groups, [count - 1]],
  ])
}

/** Whether one cover as large as the largest of them wants takes all of a group, asked of each by itself. */
function oneTakesAll(cover: Cover, objects: readonly CoveredObject[]): boolean {
  const alone = objects.map(object => plan({ ...cover, object, objects: [object] }))
  const side = (direction: 'width' | 'height') =>
    alone
      .map(made => made.pieces.find(({ id }) => id === 'outer')?.[direction].cut)
      .reduce((most, cut) => ((cut ?? 0) > (most ?? 0) ? cut : most))
  const [width, height] = [side('width'), side('height')]
  if (width === undefined || height === undefined) return false
  const made: Cover = { ...cover, sizing: { mode: 'cut', width, height } }
  return objects.every(object => {
    const own = { ...made, object, objects: [object] }
    return coverTakes(own, plan(own), object).answer === 'yes'
  })
}

describe('the fewest covers for many things', () => {
  it('is one for books that are nearly alike, and two for those that are not', () => {
    const { covers, bound } = planSeries(slip, [book(240, 160, 20), book(238, 159, 20), book(150, 100, 12)])
    expect(covers.map(({ things }) => things)).to.deep.equal([[0, 1], [2]])
    expect(bound).to.equal(2)
  })

  it('serves each thing once, and no cover is baggy on any of its own', () => {
    const sizes = fc.record({
      height: fc.integer({ min: 180, max: 260 }),
      width: fc.integer({ min: 120, max: 180 }),
      thickness: fc.integer({ min: 8, max: 30 }),
    })
    fc.assert(
      fc.property(
        fc.array(sizes, { minLength: 1, maxLength: 25 }),
        fc.constantFrom(slip, wrap),
        (all, cover) => {
          const objects = all.map(({ height, width, thickness }) => book(height, width, thickness))
          const { covers, bound, left } = planSeries(cover, objects)
          expect(
            [...covers.flatMap(({ things }) => things), ...left].toSorted((a, b) => a - b),
          ).to.deep.equal(objects.map((_, index) => index))
          expect(bound).to.be.at.most(covers.length)
          for (const { things, cover: made, plan: planned } of covers) {
            expect((planned.serves ?? []).filter(({ reason }) => things.length > 1 && reason)).to.deep.equal(
              [],
            )
            if (planned.serves) continue
            for (const thing of things) {
              const object = objects[thing]
              if (object) expect(coverTakes(made, planned, object).answer, `thing ${thing}`).to.equal('yes')
            }
          }
        },
      ),
      { numRuns: 25 },
    )
  })

  it('is the fewest there are for a few things: no way to share them out does with less', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 200, max: 250 }), fc.integer({ min: 130, max: 165 })), {
          minLength: 2,
          maxLength: 6,
        }),
        all => {
          const objects = all.map(([height, width]) => book(height, width, 15))
          const { covers, bound } = planSeries(slip, objects)
          const best = Math.min(
            ...partitions(objects.length)
              .filter(groups =>
                groups.every(group =>
                  oneTakesAll(
                    slip,
                    group.flatMap(index => objects[index] ?? []),
                  ),
                ),
              )
              .map(groups => groups.length),
          )
          expect(covers.length).to.equal(best)
          expect(bound).to.be.at.most(best)
        },
      ),
      { numRuns: 20, seed: 5 },
    )
  })

  it('leaves out what is not measured for it, or does not suit it', () => {
    const unread = { ...slip.object, readings: {} }
    const { covers, left } = planSeries(slip, [book(240, 160, 20), unread])
    expect([covers.length, left]).to.deep.equal([1, [1]])
  })

  it('makes one cover each where no size serves another', () => {
    const glued = coverFrom(familyFile('glued-wrap', { object: metricFile().object }))
    const { covers, bound } = planSeries(glued, [slip.object, slip.object])
    expect([covers.length, bound]).to.deep.equal([2, 2])
  })

  it('says what cloth each takes', () => {
    const [cover] = planSeries(slip, [slip.object]).covers
    const outer = cover?.plan.pieces.find(({ id }) => id === 'outer')
    if (!cover || !outer) throw new Error('There is one cover')
    const own = (outer.width.cut / 320_000) * (outer.height.cut / 320_000)
    expect(clothAreas(cover.plan).outer).to.be.at.least(own - 1e-9)
  })
})

describe('the fewest groups that hold everything', () => {
  it('are found where taking the largest first would want one more', () => {
    // the largest is {1, 2, 3, 4}; with it three are needed, without it two
    const groups = [
      [1, 2, 3, 4],
      [0, 1, 2],
      [3, 4, 5],
    ]
    const { groups: found, bound } = fewestGroups(groups, 6)
    expect(found.map(group => [...group])).to.deep.equal([
      [0, 1, 2],
      [3, 4, 5],
    ])
    expect(bound).to.equal(2)
  })

  it('want no fewer than things that are never together', () => {
    expect(leastGroups([[0, 1], [1, 2], [3]], 4)).to.equal(3)
    expect(fewestGroups([], 2)).to.deep.equal({ groups: [[0], [1]], bound: 2 })
    expect(fewestGroups([], 0)).to.deep.equal({ groups: [], bound: 0 })
  })
})
