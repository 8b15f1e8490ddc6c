import { expect } from 'chai'
import { z } from 'zod'
import { inches, mm, type Length } from '../length/length.js'
import { objectWith } from '../object/testing/objects.js'
import { coverFile, coverFrom } from '../file/testing/cover-files.js'
import {
  choiceOption,
  countOption,
  lengthOption,
  listOptionFields,
  namedLengthOption,
  textOption,
  yesNoOption,
} from './option-fields.js'
import { settleMakeUp } from './recipe.js'
import { families } from './registry.js'

const [family] = families
if (!family) throw new Error('No family is registered')
const [recipe] = family.recipes
if (!recipe) throw new Error('The first family has no recipe')
const object = objectWith({ height: 240, width: 160, thickness: 20 })
const stack = coverFrom(coverFile()).stack

describe('settling the make-up', () => {
  it('takes the family’s seam where neither file nor recipe says one', () => {
    const settled = settleMakeUp(family, {
      object,
      stack,
      unit: 'mm',
      sizing: { mode: 'computed' },
      options: {},
    })
    expect(settled).to.deep.equal({ seam: mm(6), sizing: { mode: 'computed' }, options: {}, findings: [] })
  })

  it('turns a recipe into its rule, with its seam and its options', () => {
    const settled = settleMakeUp(family, {
      object,
      stack,
      unit: 'in',
      sizing: { mode: 'recipe', recipe: recipe.id },
      options: {},
    })
    expect(settled.sizing).to.deep.equal(recipe.sizing({ object, stack, unit: 'in' }))
    expect(settled.seam).to.equal(recipe.seam('in'))
    expect(settled.options).to.deep.equal(recipe.options({ object, stack, unit: 'in', seam: settled.seam }))
  })

  it('reckons the recipe’s flaps with the seam that is stated', () => {
    const options = (seam: Length) =>
      settleMakeUp(family, {
        object,
        stack,
        unit: 'in',
        seam,
        sizing: { mode: 'recipe', recipe: recipe.id },
        options: {},
      }).options.flapDepth
    // a faced flap is cut the same and finishes two seams shorter: 2·(1/2 − 1/4) = 1/2 in
    expect(Number(options(inches(1 / 4))) - Number(options(inches(1 / 2)))).to.equal(inches(1 / 2))
  })

  it('refuses a recipe that nobody registered as a bug', () => {
    const unknown = { mode: 'recipe', recipe: 'soup' } as const
    expect(() => settleMakeUp(family, { object, stack, unit: 'in', sizing: unknown, options: {} })).to.throw(
      'has no recipe soup',
    )
  })
})

describe('the fields of an options schema', () => {
  const schema = z.strictObject({
    style: choiceOption({ plain: 'plain', fancy: 'with frills' }, { label: 'Style', help: 'How it looks.' }),
    depth: lengthOption('mm', { min: mm(5), max: mm(50) }, { label: 'Depth', help: 'How deep.' }),
  })

  it('carry what a form needs, in their order', () => {
    expect(listOptionFields(schema)).to.deep.equal([
      [
        'style',
        {
          field: 'choice',
          label: 'Style',
          help: 'How it looks.',
          choices: { plain: 'plain', fancy: 'with frills' },
        },
      ],
      ['depth', { field: 'length', label: 'Depth', help: 'How deep.', minMm: 5, maxMm: 50 }],
    ])
  })

  it('know named values, whole numbers, yes and no, text, and what is usual', () => {
    const more = z.strictObject({
      gap: namedLengthOption(
        'mm',
        { min: mm(1), max: mm(40) },
        { board: 'one board' },
        { label: 'Gap', help: 'Wide.' },
      ),
      sheets: countOption({ min: 1, max: 6 }, { label: 'Sheets', help: 'How many.' }),
      pocket: yesNoOption({ label: 'Pocket', help: 'Or none.' }),
      on: textOption(10, { label: 'On', help: 'What.' }),
      turnIn: lengthOption(
        'mm',
        { min: mm(1), max: mm(90), usual: [mm(25), mm(50)] },
        { label: 'Turn-in', help: 'In.' },
      ),
    })
    expect(more.parse({ gap: 'board', sheets: 2, pocket: false, on: 'flap' })).to.deep.equal({
      gap: 'board',
      sheets: 2,
      pocket: false,
      on: 'flap',
    })
    expect(more.parse({ gap: '3 mm' })).to.deep.equal({ gap: mm(3) })
    for (const bad of [
      { gap: 'two boards' },
      { sheets: 2.5 },
      { sheets: 7 },
      { pocket: 'yes' },
      { on: 'a long name' },
    ])
      expect(more.safeParse(bad).success).to.equal(false)
    expect(listOptionFields(more).map(([, { field }]) => field)).to.deep.equal([
      'length',
      'count',
      'yes-no',
      'text',
      'length',
    ])
    expect(listOptionFields(more)[4]?.[1]).to.deep.include({ usualMm: [25, 50] })
  })

  it('read what they describe', () => {
    expect(schema.parse({ style: 'fancy', depth: '2 cm' })).to.deep.equal({ style: 'fancy', depth: mm(20) })
    expect(schema.parse({})).to.deep.equal({})
    expect(schema.safeParse({ depth: '2 in' }).success).to.equal(false)
    expect(schema.safeParse({ style: 'plainer' }).success).to.equal(false)
  })
})

describe('a cover read from its file', () => {
  it('states only what the file states', () => {
    const { seam: _seam, ...file } = coverFile({ options: {} })
    expect(coverFrom(file)).not.to.have.property('seam')
    expect(coverFrom(coverFile()).seam).to.equal(inches(1 / 4))
  })
})
