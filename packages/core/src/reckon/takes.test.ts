import { expect } from 'chai'
import fc from 'fast-check'
import type { CoverFile, TypedObject } from '../file/cover-schema.js'
import { coverFrom, everyReading, familyFile } from '../file/testing/cover-files.js'
import { toMm } from '../length/length.js'
import { plan } from '../plan/plan.js'
import { fewestCovers } from './fewest-covers.js'
import { coverTakes } from './takes.js'

const book = (thickness: number, height = 240): TypedObject => ({
  kind: 'softcover',
  readings: {
    height: [`${height} mm`],
    width: ['160 mm'],
    thickness: [`${thickness} mm`],
    boardThickness: ['2 mm'],
  },
})

describe('whether a cover takes another thing', () => {
  const cover = coverFrom(familyFile('slip-cover', { object: book(20) }))
  const asked = (object: TypedObject) =>
    coverTakes(cover, plan(cover), coverFrom(familyFile('slip-cover', { object })).object)

  it('follows from what the other needs and what the cover finishes at', () => {
    const thinner = asked(book(12))
    // 8 mm less round it
    expect(thinner.answer === 'yes' && thinner.fits.map(({ ease }) => Math.round(toMm(ease)))).to.deep.equal([
      14, 6,
    ])
    expect(asked(book(30)).answer).to.equal('no')
    expect(asked(book(20, 200)).answer).to.equal('no')
    expect(asked(book(20)).answer).to.equal('yes')
  })

  it('is not known without readings or without a fit', () => {
    const bare = { ...cover.object, readings: {} }
    expect(coverTakes(cover, plan(cover), bare)).to.deep.equal({ answer: 'unknown', why: 'not measured' })
    const glued = coverFrom(familyFile('glued-wrap', { object: everyReading }))
    expect(coverTakes(glued, plan(glued), glued.object)).to.deep.equal({
      answer: 'unknown',
      why: 'no fit of its own',
    })
  })

  it('keeps the halves of a case apart', () => {
    const tablet: CoverFile['object'] = {
      kind: 'tablet',
      edges: 'square',
      readings: { height: ['170'], width: ['120'], thickness: ['10'] },
    }
    const folded = coverFrom(familyFile('fold-case', { object: tablet }))
    const made = plan(folded)
    const same = coverTakes(folded, made, folded.object)
    expect(same.answer === 'yes' && same.fits).to.deep.equal(made.fits)
  })
})

describe('the fewest covers', () => {
  const seriesOf = (objects: TypedObject[]) => {
    const { object: _object, ...file } = familyFile('adjustable-wrap')
    return coverFrom({ ...file, objects })
  }

  it('are one where one serves all, and more where it does not', () => {
    expect(fewestCovers(seriesOf([book(20), book(20.5), book(19.8)]))).to.deep.equal([[0, 1, 2]])
    // 40 mm thicker takes its free end out of reach; 30 lower is not held
    expect(fewestCovers(seriesOf([book(20), book(60), book(20.2), book(20, 200)]))).to.have.length(3)
  })

  it('serve everybody once', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 10, max: 60 }), { minLength: 1, maxLength: 6 }), thicknesses => {
        const cover = seriesOf(thicknesses.map(thickness => book(thickness)))
        const groups = fewestCovers(cover)
        expect(groups.flat().toSorted((a, b) => a - b)).to.deep.equal(thicknesses.map((_, index) => index))
        for (const group of groups.filter(({ length }) => length > 1)) {
          const objects = group.flatMap(index => cover.objects[index] ?? [])
          expect(plan({ ...cover, objects }).serves?.every(({ reason }) => reason === undefined)).to.equal(
            true,
          )
        }
      }),
      { numRuns: 30 },
    )
  })
})
