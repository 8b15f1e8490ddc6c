import { expect } from 'chai'
import { coverFile, cutOf, familyFile } from '../file/testing/cover-files.js'
import { clothArea, lengthOnCloth } from './cloth.js'
import { mm, toMm } from '../length/length.js'
import {
  describeDifferences,
  findSameFits,
  followRecipe,
  listSizingChoices,
  readPlannable,
} from './sizing-choices.js'

describe('the choices of sizing', () => {
  const choices = listSizingChoices(coverFile({ seam: '1/4 in' }))

  it('are computed and every recipe, each planned on this thing with these layers', () => {
    expect(choices.map(({ id }) => id)).to.deep.equal([
      'computed',
      'deep-flaps',
      'inch-and-a-half',
      'two-inches',
    ])
    // wrap 14 7/16 + 1 1/2 = 15 15/16 → 16; 9 3/8 + 1 1/2 = 10 7/8
    const [, , threeHalves] = choices
    expect(threeHalves && cutOf(threeHalves.plan, 'outer', 'in')).to.equal('1 × 16 in × 10 7/8 in')
  })

  it('are none while something is still to be measured', () => {
    expect(
      listSizingChoices(coverFile({ object: { kind: 'hardcover', readings: { height: ['9'] } } })),
    ).to.deep.equal([])
  })

  it('reckon the cloth of all outer pieces', () => {
    // outer 15 3/4 × 10 1/2, two flaps 7 1/8 × 10 1/2 (half of 6 5/8): (15.75 + 14.25)·10.5 in² = 315 in² = 0.2032 m²
    const [computed] = listSizingChoices(coverFile({ options: {} }))
    expect(computed?.outerArea).to.be.closeTo(315 * 0.0254 * 0.0254, 1e-9)
    expect(clothArea(computed?.plan.pieces ?? [], 'binding')).to.equal(0)
    expect(toMm(lengthOnCloth(0.5, mm(1000)))).to.equal(500)
  })

  it('say what differs from the one in use', () => {
    const [computed, , , twoInches] = choices
    if (!computed || !twoInches) throw new Error('A choice is missing')
    // 3/4 · 6 5/8 + 1/2 − 2 · 1/2 = 4 15/32
    expect(describeDifferences(twoInches, computed)).to.deep.equal([
      'seam 1\u20442\u00a0in',
      'flap style faced',
      'flap depth 4\u00a015\u204432\u00a0in',
    ])
    expect(describeDifferences(computed, computed)).to.deep.equal([])
  })

  it('clear what a recipe brings when it is followed', () => {
    const file = coverFile({ options: { flapDepth: '3 in', turningOpening: '5 in' } })
    const cover = readPlannable(file)
    if (!cover) throw new Error('The cover cannot be planned')
    const followed = followRecipe(file, cover, 'two-inches')
    expect(followed.options).to.deep.equal({ turningOpening: '5 in' })
    expect(followed).not.to.have.property('seam')
    expect(() => followRecipe(file, cover, 'soup')).to.throw('has no recipe soup')
  })

  it('find another seam with the same fit', () => {
    // one family's recipe with 2 in and a seam of ½ in leaves what 1 ½ in with ¼ in leaves: 2 − 1 = 1 ½ − ½
    const pairs = findSameFits(listSizingChoices(familyFile('slip-cover', { unit: 'in', grid: '1/16 in' })))
    expect(pairs).to.deep.include(['inch-and-a-half', 'two-inches'])
    expect(findSameFits(listSizingChoices(familyFile('glued-wrap')))).to.deep.equal([])
  })
})
