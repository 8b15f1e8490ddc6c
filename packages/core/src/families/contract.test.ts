import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from 'chai'
import { extras } from '../extras/registry.js'
import { extraSteps } from '../extras/steps-registry.js'
import { everyReading, familyFile, planFrom, coverFile } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { severityOf } from '../finding/severities.js'
import { describeFinding } from '../finding/words/describe.js'
import { zero } from '../length/length.js'
import { units } from '../length/unit.js'
import { objectKinds } from '../object/kind.js'
import { totalOf } from '../piece/reason.js'
import type { Plan } from '../plan/plan.js'
import { listOptionFields } from './option-fields.js'
import { families } from './registry.js'
import { familySteps } from './steps-registry.js'
import { totalWidth } from './strip.js'

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

const registries = ['families', 'extras'].flatMap(place =>
  ['registry.ts', 'steps-registry.ts'].map(file => join(place, file)),
)

describe('the registries', () => {
  it('hold each folder of families and extras, and nothing else', () => {
    expect(families.map(({ id }) => id).toSorted()).to.deep.equal(foldersIn('families').toSorted())
    expect(extras.map(({ type }) => type).toSorted()).to.deep.equal(foldersIn('extras').toSorted())
  })

  it('say of each how it is made', () => {
    expect(Object.keys(familySteps).toSorted()).to.deep.equal(families.map(({ id }) => id).toSorted())
    expect(Object.keys(extraSteps).toSorted()).to.deep.equal(extras.map(({ type }) => type).toSorted())
  })

  it('are the only places that name a family or an extra outside its own folder', () => {
    const namedElsewhere = [
      ...families.map(({ id }) => ['families', id] as const),
      // single words such as ribbon or strap are the names of pieces and notions, too
      ...extras.flatMap(({ type }) => (type.includes('-') ? [['extras', type] as const] : [])),
    ].flatMap(([place, name]) =>
      sourceFiles()
        // an upgrade speaks of what was there when it was written, and is never changed
        .filter(file => !/^file.upgrade-to-/.test(file))
        .filter(file => !file.startsWith(join(place, name)) && !registries.includes(file))
        .filter(file => readFileSync(join(source, file), 'utf8').includes(`'${name}'`)),
    )
    expect(namedElsewhere).to.deep.equal([])
  })
})

/** Every size in a plan, with its reasons. */
function sidesOf({ pieces, notions }: Plan) {
  return [
    ...pieces.flatMap(({ width, height, blank }) => [width, height, ...(blank ? [blank] : [])]),
    ...notions.flatMap(({ length }) => (length ? [length] : [])),
  ]
}

for (const family of families)
  describe(`the family ${family.id}`, () => {
    const plan = planFrom(familyFile(family.id))

    it('plans with its defaults without an error, and every size adds up', () => {
      expect(plan.pieces).not.to.have.length(0)
      expect(plan.findings.filter(({ code }) => severityOf[code] === 'error')).to.deep.equal([])
      for (const side of sidesOf(plan)) {
        expect(totalOf(side.reasons)).to.equal(side.exact)
        expect(Number.isInteger(side.cut)).to.equal(true)
      }
    })

    it('says each reason of a size once', () => {
      for (const { reasons } of sidesOf(plan))
        expect(new Set(reasons.map(({ label }) => label)).size).to.equal(reasons.length)
    })

    it('survives JSON', () => {
      expect(JSON.parse(JSON.stringify(plan))).to.deep.equal(plan)
    })

    it('lays a strip of panels with their pieces, and knows the thing inside', () => {
      const { strip, section } = plan
      expect(totalWidth(strip.panels)).to.be.above(zero)
      expect(strip.panels.every(({ width }) => width > zero)).to.equal(true)
      expect(new Set(strip.panels.map(({ id }) => id)).size).to.equal(strip.panels.length)
      const known = new Set(plan.pieces.map(({ id }) => id))
      for (const { piece } of [...strip.cutPieces, ...strip.areas, ...strip.shapes])
        expect(known.has(piece), piece).to.equal(true)
      expect(strip.cutPieces.some(({ piece }) => piece === 'outer')).to.equal(true)
      expect(section.width).to.be.above(zero)
      expect(section.plies.at(-1)?.role).to.equal('outer')
    })

    it('joins pieces that it has cut, each joining with a name and a place to look from', () => {
      const known = {
        piece: new Set(plan.pieces.map(({ id }) => id)),
        notion: new Set(plan.notions.map(({ id }) => id)),
        thing: new Set(['thing']),
      }
      expect(plan.joinings).not.to.have.length(0)
      expect(new Set(plan.joinings.map(({ id }) => id)).size).to.equal(plan.joinings.length)
      for (const { name, seenFrom, layers } of plan.joinings) {
        expect(`${name} ${seenFrom}`).to.match(/\w{3}/)
        for (const { what, id } of layers) expect(known[what].has(id), id).to.equal(true)
      }
    })

    it('has words for itself, its recipes and each of its options', () => {
      expect(family.words.name).to.match(/\w{3}/)
      expect(family.words.summary).to.match(/\w{3}/)
      for (const recipe of family.recipes)
        for (const words of [recipe.name, recipe.reason, recipe.price]) expect(words).to.match(/\w{3}/)
      const schema = family.options('in')
      expect(listOptionFields(schema).map(([key]) => key)).to.deep.equal(Object.keys(schema.shape))
    })

    it('leaves out of the form only options that do nothing', () => {
      const defaults = familyFile(family.id)
      const { settled, pieces } = planFrom(defaults)
      const fields = new Map(listOptionFields(family.options('mm')))
      for (const key of family.unused?.(settled.options as Record<string, unknown>) ?? []) {
        const field = fields.get(key)
        expect(field, key).not.to.equal(undefined)
        const values =
          field?.field === 'length'
            ? [`${field.minMm + 1} mm`, `${field.maxMm - 1} mm`]
            : field?.field === 'choice'
              ? Object.keys(field.choices)
              : [true, false]
        for (const value of values)
          expect(planFrom({ ...defaults, options: { [key]: value } }).pieces, key).to.deep.equal(pieces)
      }
    })

    it('says of every kind of thing whether it suits, and why', () => {
      const answers = objectKinds.map(kind =>
        family.suits({
          kind,
          spine: 'flat',
          foldsBack: true,
          edges: 'eased',
          tapeDivision: zero,
          readings: {},
        }),
      )
      expect(answers.some(({ suits }) => suits)).to.equal(true)
      for (const { why } of answers) expect(why).to.match(/^[A-Z].*\.$/)
    })

    it('plans every recipe in every unit', () => {
      for (const unit of units)
        for (const { id } of family.recipes) {
          const planned = planFrom({
            ...familyFile(family.id, { sizing: { mode: 'recipe', recipe: id } }),
            unit,
            grid: unit === 'in' ? '1/8 in' : '1 mm',
            object: everyReading,
          })
          expect(planned.fits.every(({ ease }) => Number.isFinite(ease))).to.equal(true)
        }
    })

    it('never cuts smaller for a thicker stack', () => {
      const sizes = [0.2, 1, 3, 6].map(thickness => {
        const thick = planFrom(
          familyFile(family.id, { layers: [{ role: 'outer', thickness: `${thickness} mm` }] }),
        )
        const outer = thick.pieces.find(({ id }) => id === 'outer')
        return [outer?.width.exact ?? 0, outer?.height.exact ?? 0] as const
      })
      for (const [index, [width, height]] of sizes.slice(1).entries()) {
        expect(width).to.be.at.least(sizes[index]?.[0] ?? 0)
        expect(height).to.be.at.least(sizes[index]?.[1] ?? 0)
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
