import { expect } from 'chai'
import type { CoverFile } from '../file/cover-schema.js'
import { changeUnit } from '../file/change-unit.js'
import { coverFile, cutOf, familyFile } from '../file/testing/cover-files.js'
import { clothNeeded } from './cloth.js'
import { add, inches, toMm, zero, type Length } from '../length/length.js'
import {
  describeDifferences,
  findSameFits,
  followComputed,
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
      'rule',
      'cut',
    ])
    // wrap 14 7/16 + 1 1/2 = 15 15/16 → 16; 9 3/8 + 1 1/2 = 10 7/8
    const [, , threeHalves] = choices
    expect(threeHalves && cutOf(threeHalves.plan, 'outer', 'in')).to.equal('1 × 16 in × 10 7/8 in')
  })

  it('keep an ease that is set where a cover is computed, whether it says so or not, and let go of all else', () => {
    const eased = { easeWidth: '3 mm' } as const
    const sizingOf = (sizing: CoverFile['sizing']) => followComputed(coverFile({ sizing })).sizing
    expect(sizingOf({ mode: 'computed', ...eased })).to.deep.equal({ mode: 'computed', ...eased })
    expect(sizingOf(eased)).to.deep.equal(eased)
    expect(sizingOf({ mode: 'recipe', recipe: 'two-inches' })).to.deep.equal({ mode: 'computed' })
    expect(sizingOf(undefined)).to.deep.equal({ mode: 'computed' })
  })

  it('are none while something is still to be measured', () => {
    expect(
      listSizingChoices(coverFile({ object: { kind: 'hardcover', readings: { height: ['9'] } } })),
    ).to.deep.equal([])
  })

  it('take the cloth that a layout of all outer pieces takes', () => {
    // outer 15 3/4 × 10 3/8, two flaps 7 1/8 × 10 3/8, ¼ between: 15 3/4 + 2·(7 1/8 + 1/4) = 30 1/2 of 42 in, in one row
    const [computed] = listSizingChoices(coverFile({ options: {} }))
    if (!computed) throw new Error('A choice is missing')
    const { plan, cover } = computed
    const taken = (width: Length, role: 'outer' | 'binding' = 'outer') =>
      clothNeeded(plan, cover, role, width)
    expect(taken(inches(42))).to.equal(inches(10.375))
    // 24 in hold the outer, and above it both flaps, turned: 10 3/8 + 1/4 + 7 1/8
    expect(taken(inches(24))).to.equal(inches(17.75))
    expect(taken(inches(42), 'binding')).to.equal(undefined)
    // none turned, none fits
    expect(taken(inches(7))).to.equal(undefined)
  })

  it('keep the ease that is set where the size is computed already', () => {
    const [computed] = listSizingChoices(
      coverFile({ sizing: { mode: 'computed', easeWidth: '12 mm', easeHeight: '3 mm' } }),
    )
    expect(computed?.file.sizing).to.include({ easeWidth: '12 mm', easeHeight: '3 mm' })
    // 12 mm and what rounding up adds, up to an eighth of an inch
    expect(toMm(computed?.plan.fits[0]?.ease ?? zero)).to.be.within(12, 15.2)
  })

  it('end with a rule of the maker’s own, the one in use or one to begin with', () => {
    const ruleOf = (changes: Parameters<typeof coverFile>[0]) =>
      listSizingChoices(coverFile(changes)).find(({ id }) => id === 'rule')
    // wrap 14 7/16 + 1 1/2; + 2
    expect(ruleOf({})?.file.sizing).to.include({ mode: 'rule', addWidth: '1 1/2 in' })
    const own = ruleOf({
      sizing: { mode: 'rule', measure: 'wrap', addWidth: '2', addHeight: '1' },
      seam: '1/2 in',
    })
    expect(own && cutOf(own.plan, 'outer', 'in')).to.equal('1 × 16 1/2 in × 10 3/8 in')
    expect(own?.plan.settled.seam).to.equal(inches(0.5))
    // nothing is added to where a case is made of boards
    expect(listSizingChoices(familyFile('board-cover')).map(({ id }) => id)).to.deep.equal([
      'computed',
      'cut',
    ])
  })

  it('have the rules that the maker keeps among them, in the cover’s unit, and the one that the cover carries', () => {
    const kept = [
      { unit: 'in' as const, recipe: { name: 'Hut rule', addWidth: '1 1/2', addHeight: '1', seam: '1/2' } },
    ]
    const own = listSizingChoices(coverFile(), kept).find(({ id }) => id === 'own:Hut rule')
    // 14 7/16 + 1 1/2 → 16; 9 3/8 + 1
    expect(own && cutOf(own.plan, 'outer', 'in')).to.equal('1 × 16 in × 10 3/8 in')
    expect(own?.plan.settled.seam).to.equal(inches(0.5))
    const inMetric = listSizingChoices(changeUnit(coverFile(), 'mm'), kept).find(
      ({ name }) => name === 'Hut rule',
    )
    expect(inMetric?.file.sizing).to.deep.include({
      recipe: { name: 'Hut rule', addWidth: '1 1/2 in', addHeight: '1 in', seam: '1/2 in' },
    })
    const carrying = own?.file
    if (!carrying) throw new Error('No rule')
    expect(listSizingChoices(carrying).map(({ id }) => id)).to.include('own:Hut rule')
    expect(listSizingChoices(carrying, kept).filter(({ id }) => id === 'own:Hut rule')).to.have.length(1)
  })

  it('take a panel as it is cut, to begin with as it is planned', () => {
    const cut = listSizingChoices(coverFile()).find(({ id }) => id === 'cut')
    expect(cut?.file.sizing).to.deep.equal({ mode: 'cut', width: '15 3/4 in', height: '10 3/8 in' })
  })

  it('say what differs from the one in use', () => {
    const [computed, , , twoInches] = choices
    if (!computed || !twoInches) throw new Error('A choice is missing')
    // 3/4 · 6 5/8 + 1/2 − 2 · 1/2 = 4 15/32
    expect(describeDifferences(twoInches, computed, 'in')).to.deep.equal([
      'seam 1\u20442\u00a0in',
      'flaps faced with lining',
      'flap depth 4\u00a015\u204432\u00a0in',
    ])
    expect(describeDifferences(computed, computed, 'in')).to.deep.equal([])
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
    // each fit beside the one of its own direction: the ease in height of one may be the other’s in width
    const [one, ...others] = listSizingChoices(familyFile('slip-cover', { unit: 'in', grid: '1/16 in' }))
    if (!one) throw new Error('No choice')
    const crossed = {
      ...one,
      id: 'crossed',
      plan: {
        ...one.plan,
        settled: { ...one.plan.settled, seam: inches(1) },
        fits: one.plan.fits.map((fit, index, all) => ({
          ...fit,
          ease: add(all[1 - index]?.ease ?? zero, inches(index)),
        })),
      },
    }
    expect(others).to.have.length.above(0)
    expect(findSameFits([one, crossed])).to.deep.equal([])
    expect(
      findSameFits([one, { ...crossed, plan: { ...crossed.plan, fits: one.plan.fits } }]),
    ).to.have.length(1)
  })
})
