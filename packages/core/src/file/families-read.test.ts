import { expect } from 'chai'
import { extras } from '../extras/registry.js'
import { families } from '../families/registry.js'
import { coverJsonSchema } from './json-schema.js'
import { planToJson } from './plan-json.js'
import { readCover } from './read-cover.js'
import { familyFile, planFrom } from './testing/cover-files.js'

function issuesOf(file: unknown): readonly string[] {
  const read = readCover(file)
  return read.ok ? [] : read.issues.map(({ path, message }) => `${path}: ${message}`)
}

describe('reading a cover file of every way of making', () => {
  for (const { id, ruleMeasures, recipes } of families)
    it(`${id}: takes what has a meaning and refuses the rest by its place`, () => {
      expect(issuesOf(familyFile(id))).to.deep.equal([])
      const [unknown] = issuesOf(familyFile(id, { options: { soup: '1' } }))
      expect(unknown).to.contain('options.soup: “soup” is not known here')
      const rule = { mode: 'rule', addWidth: '20 mm', addHeight: '20 mm' } as const
      const ruled = issuesOf(familyFile(id, { sizing: rule }))
      expect(ruled.length).to.equal(ruleMeasures.length > 0 ? 0 : 1)
      const [recipe] = issuesOf(familyFile(id, { sizing: { mode: 'recipe', recipe: 'soup' } }))
      expect(recipe).to.contain(`“soup” is not a recipe of ${id}`)
      for (const { id: known } of recipes)
        expect(issuesOf(familyFile(id, { sizing: { mode: 'recipe', recipe: known } }))).to.deep.equal([])
    })

  it('refuses a whole number out of its range, a yes that is no yes, a gap that is neither name nor length', () => {
    const options = (changes: object) => issuesOf(familyFile('board-cover', { options: { ...changes } }))
    expect(options({ sheets: 0 })[0]).to.equal('options.sheets: Expected at least 1, found 0.')
    expect(options({ sheets: 1.5 })[0]).to.contain('options.sheets: ')
    expect(options({ underlining: 'yes' })[0]).to.equal(
      'options.underlining: Expected true or false, found “yes”.',
    )
    expect(options({ gap: 'two boards' })[0]).to.contain('options.gap: ')
    expect(options({ gap: 'board', sheets: 3, underlining: true })).to.deep.equal([])
  })

  it('says what still has to be measured, as each way of making needs it', () => {
    const bare = (id: string) =>
      issuesOf(familyFile(id, { object: { kind: 'journal', readings: {} } })).map(
        issue => issue.split(':')[0],
      )
    expect(bare('sleeve')).to.deep.equal([
      'object.readings.height',
      'object.readings.width',
      // thickness, or the wrap that it follows from
      'object.readings',
    ])
    expect(bare('board-cover')).to.deep.equal(['object.readings.pageHeight', 'object.readings.pageWidth'])
    expect(bare('zip-around')).to.deep.equal(['object.readings.height', 'object.readings'])
  })

  it('refuses an extra that nobody knows, and options that it does not have', () => {
    const added = (extra: { type: string }) => issuesOf(familyFile('slip-cover', { extras: [extra] }))
    expect(added({ type: 'sail' })[0]).to.contain(
      'extras[0].type: “sail” cannot be added to a cover. Known: pocket-patch',
    )
    expect(added({ type: 'tie-pair', colour: 'red' } as never)[0]).to.contain('extras[0].colour')
    expect(added({ type: 'pocket-tiered', tiers: 5 } as never)[0]).to.equal(
      'extras[0].tiers: Expected at most 4, found 5.',
    )
  })
})

describe('the plan as JSON', () => {
  it('leaves out what has no meaning for a way of making', () => {
    const keysOf = (id: string) => Object.keys(planToJson(planFrom(familyFile(id)), 'mm'))
    for (const id of ['glued-wrap', 'board-cover', 'soft-wrap'])
      expect(keysOf(id)).not.to.include.oneOf(['needed', 'finished', 'ease', 'serves'])
    expect(keysOf('zip-around')).to.include.members(['needed', 'finished', 'ease'])
    expect(keysOf('adjustable-wrap')).to.include('serves')
  })

  it('marks what is measured first, and the square for a bias strip', () => {
    const json = planToJson(planFrom(familyFile('sleeve', { options: { edge: 'bound' } })), 'mm')
    expect(json.pieces.filter(piece => 'measureFirst' in piece).map(({ id }) => id)).to.deep.equal([
      'binding',
    ])
    const turned = planToJson(planFrom(familyFile('turned-flap-cover')), 'mm')
    expect(turned.panels.filter(panel => 'measureFirst' in panel).map(({ id }) => id)).to.deep.equal([
      'back-flap',
      'front-flap',
    ])
    const [piping] = planToJson(planFrom(familyFile('zip-around')), 'mm').pieces.filter(
      ({ id }) => id === 'piping',
    )
    expect(piping).to.have.property('blank')
  })

  it('rounds the lengths of notions, and says so', () => {
    const { notions } = planToJson(planFrom(familyFile('zip-around')), 'mm')
    for (const { length, reasons } of notions) {
      const sum = reasons.reduce((total, reason) => total + reason.mm, 0)
      expect(sum).to.be.closeTo(length?.mm ?? 0, 0.001)
    }
    expect(notions.flatMap(({ reasons }) => reasons.map(({ label }) => label))).to.include('rounding up')
  })
})

describe('the JSON Schema', () => {
  it('knows every way of making and every extra with its options', () => {
    const schema = coverJsonSchema() as {
      properties: { family: { enum: string[] }; extras: { items: { oneOf: { properties: object }[] } } }
      allOf: unknown[]
    }
    expect(schema.properties.family.enum).to.deep.equal(families.map(({ id }) => id))
    expect(schema.allOf).to.have.length(families.length)
    const types = schema.properties.extras.items.oneOf.map(
      ({ properties }) => (properties as { type: { const: string } }).type.const,
    )
    expect(types).to.deep.equal(extras.map(({ type }) => type))
  })
})
