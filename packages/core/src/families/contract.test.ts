import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from 'chai'
import { extras } from '../extras/registry.js'
import type { TypedObject } from '../file/cover-schema.js'
import { coverFile, planFrom } from '../file/testing/cover-files.js'
import { severityOf } from '../finding/severity.js'
import { describeFinding } from '../finding/words.js'
import { sayPlainly } from '../file/plan-json.js'
import { totalOf } from '../piece/reason.js'
import { units } from '../length/unit.js'
import { listOptionFields } from './option-fields.js'
import { families } from './registry.js'

const metricObject: TypedObject = {
  kind: 'hardcover',
  readings: { height: ['240 mm'], width: ['160 mm'], thickness: ['20 mm'], boardThickness: ['2 mm'] },
}

const source = join(import.meta.dirname, '..')

function foldersIn(place: string): readonly string[] {
  return readdirSync(join(source, place), { withFileTypes: true })
    .filter(entry => entry.isDirectory() && entry.name !== 'testing')
    .map(entry => entry.name)
}

function sourceFiles(place = ''): readonly string[] {
  return readdirSync(join(source, place), { withFileTypes: true }).flatMap(entry => {
    const path = join(place, entry.name)
    if (entry.isDirectory()) return entry.name === 'testing' ? [] : sourceFiles(path)
    return /(?<!\.test)\.ts$/.test(entry.name) ? [path] : []
  })
}

describe('the registries', () => {
  it('hold each folder of families and extras, and nothing else', () => {
    expect(families.map(({ id }) => id).toSorted()).to.deep.equal(foldersIn('families').toSorted())
    expect(extras.map(({ type }) => type).toSorted()).to.deep.equal(foldersIn('extras').toSorted())
  })

  it('are the only places that name a family or an extra outside its own folder', () => {
    const namedElsewhere = [
      ...families.map(({ id }) => ['families', id] as const),
      ...extras.map(({ type }) => ['extras', type] as const),
    ].flatMap(([place, name]) =>
      sourceFiles()
        .filter(file => !file.startsWith(join(place, name)) && file !== join(place, 'registry.ts'))
        .filter(file => readFileSync(join(source, file), 'utf8').includes(`'${name}'`)),
    )
    expect(namedElsewhere).to.deep.equal([])
  })
})

for (const family of families)
  describe(`the family ${family.id}`, () => {
    const plan = planFrom(coverFile({ family: family.id, options: {} }))

    it('plans with its defaults, and every size adds up', () => {
      expect(plan.pieces).not.to.have.length(0)
      for (const { width, height } of plan.pieces)
        for (const side of [width, height]) expect(totalOf(side.reasons)).to.equal(side.exact)
    })

    it('survives JSON', () => {
      expect(JSON.parse(JSON.stringify(plan))).to.deep.equal(plan)
    })

    it('has words for itself, its recipes and each of its options', () => {
      expect(family.words.name).to.match(/\w{3}/)
      expect(family.words.summary).to.match(/\w{3}/)
      for (const recipe of family.recipes)
        for (const words of [recipe.name, recipe.reason, recipe.price]) expect(words).to.match(/\w{3}/)
      const schema = family.options('in')
      expect(listOptionFields(schema).map(([key]) => key)).to.deep.equal(Object.keys(schema.shape))
    })

    it('plans every recipe in every unit', () => {
      for (const unit of units)
        for (const { id } of family.recipes) {
          const planned = planFrom(
            coverFile({
              family: family.id,
              unit,
              options: {},
              sizing: { mode: 'recipe', recipe: id },
              object: metricObject,
            }),
          )
          expect(planned.fits.every(({ ease }) => Number.isFinite(ease))).to.equal(true)
        }
    })
  })

describe('the words of findings', () => {
  it('name what was found in the workshop’s unit', () => {
    const tight = planFrom(
      coverFile({ sizing: { mode: 'rule', measure: 'wrap', addWidth: '1/2', addHeight: '2' } }),
    )
    const [finding] = tight.findings.filter(({ code }) => code === 'will-not-go')
    if (!finding) throw new Error('The cover goes on')
    expect(severityOf[finding.code]).to.equal('error')
    // needed 378.7527; cut 366.7125 + 12.7 = 379.4125 → 381; finished 367.3; short 11.4527 mm = 14.43/32 in
    expect(describeFinding(finding, sayPlainly('in')).message).to.equal(
      'The cover would be 7/16 in too short to close round it.',
    )
    expect(describeFinding(finding, sayPlainly('mm')).message).to.equal(
      'The cover would be 11.5 mm too short to close round it.',
    )
  })
})
