import { expect } from 'chai'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { plan } from '../plan/plan.js'
import { extras } from '../extras/registry.js'
import { listOptionFields } from '../families/option-fields.js'
import { families } from '../families/registry.js'
import { applyRepair } from './apply-repair.js'
import { changeUnit } from './change-unit.js'
import { coverJsonSchema } from './json-schema.js'
import { planToJson } from './plan-json.js'
import { codesOf, coverFile, coverFrom, familyFile, planFrom } from './testing/cover-files.js'

describe('changing the unit of a cover', () => {
  const bare = coverFile({
    seam: '1/4',
    sizing: { mode: 'rule', measure: 'wrap', addWidth: 2, addHeight: '1 1/2' },
    options: { flapDepth: '3', flapStyle: 'folded' },
    extras: [{ type: 'tie-pair', length: '10' }],
    trial: { width: { finished: 15, spare: '1/4' } },
    grid: '1 mm',
  })

  it('says the unit in every bare number, so that nothing changes its size', () => {
    const metric = { ...changeUnit(bare, 'mm'), grid: '1 mm' }
    const sizes = (file: typeof bare) =>
      planFrom(file).pieces.map(({ id, width, height }) => [id, width.exact, height.exact])
    expect(sizes(metric)).to.deep.equal(sizes(bare))
    expect(metric.seam).to.equal('1/4 in')
    expect(metric.options).to.deep.equal({ flapDepth: '3 in', flapStyle: 'folded' })
    expect(metric.trial).to.deep.equal({ width: { finished: '15 in', spare: '1/4 in' } })
    expect(metric.object?.readings?.height).to.deep.equal(['9 3/8 in', '9 5/16 in'])
  })

  it('leaves what says its unit, and takes the usual grid of the new one', () => {
    const metric = changeUnit(bare, 'cm')
    expect(metric.layers[0]?.thickness).to.equal('0.28 mm')
    expect(metric.grid).to.equal(undefined)
    expect(changeUnit(bare, 'in')).to.equal(bare)
  })
})

describe('a length that is said without its unit', () => {
  /** Some number that is a length within the range in inches, and too small or another one in millimetres. */
  const bareIn = ({ minMm, maxMm }: { readonly minMm: number; readonly maxMm: number }) =>
    ((minMm + 0.3 * (maxMm - minMm)) / 25.4).toFixed(3)

  for (const family of families)
    for (const [key, field] of listOptionFields(family.options('in')))
      if (field.field === 'length')
        it(`stays what it was in another unit: ${key} of ${family.id}`, () => {
          const file = { ...familyFile(family.id), unit: 'in' as const, options: { [key]: bareIn(field) } }
          const read = coverFrom(file).options as Record<string, unknown>
          expect(read[key]).to.be.a('number')
          expect((coverFrom(changeUnit(file, 'mm')).options as Record<string, unknown>)[key]).to.equal(
            read[key],
          )
        })

  for (const extra of extras)
    for (const [key, field] of listOptionFields(extra.options('in')))
      if (field.field === 'length')
        it(`stays what it was in another unit: ${key} of ${extra.type}`, () => {
          const carrier = families.find(({ traits }) => extra.refuses(traits) === undefined)
          const file = {
            ...familyFile(carrier?.id ?? ''),
            unit: 'in' as const,
            extras: [{ type: extra.type, [key]: bareIn(field) }],
          }
          const read = (of: typeof file) => coverFrom(of).extras[0]?.options[key]
          expect(read(file)).to.be.a('number')
          expect(coverFrom(changeUnit(file, 'mm')).extras[0]?.options[key]).to.equal(read(file))
        })

  it('stays what it was where a hand errs, to either side', () => {
    const file = {
      ...coverFile(),
      hand: { seamBias: '-0.02', cutBias: 0.01, seamScatter: '1/32', cutScatter: '0.5 mm' },
    }
    const { hand } = coverFrom(file)
    // 0.02 in are 0.508 mm: 162.56 ticks of 1/320 mm; a minus before it
    expect(hand?.seamBias).to.be.closeTo(-162.56, 0.5)
    expect(coverFrom(changeUnit(file, 'mm')).hand).to.deep.equal(hand)
    expect(changeUnit(file, 'mm').hand).to.deep.equal({
      seamBias: '-0.02 in',
      cutBias: '0.01 in',
      seamScatter: '1/32 in',
      cutScatter: '0.5 mm',
    })
  })
})

describe('a repair', () => {
  it('mends the finding that offers it', () => {
    const deep = coverFile({ options: { flapDepth: '6 1/2' } })
    const finding = planFrom(deep).findings.find(({ code }) => code === 'flap-too-deep')
    if (!finding?.repair) throw new Error('No repair offered')
    const mended = applyRepair(deep, finding.repair)
    // 6 5/8 − 3/8 = 6 1/4
    expect(mended.options).to.deep.equal({ flapDepth: '6 1/4 in' })
    expect(codesOf(planFrom(mended))).not.to.include('flap-too-deep')
  })

  it('swaps height and width with all their readings', () => {
    const lying = coverFile({
      object: { kind: 'hardcover', readings: { height: ['6'], width: ['9', '9 1/8'], thickness: ['1'] } },
    })
    const finding = planFrom(lying).findings.find(({ code }) => code === 'sides-swapped')
    if (!finding?.repair) throw new Error('No repair offered')
    expect(applyRepair(lying, finding.repair).object?.readings).to.deep.equal({
      height: ['9', '9 1/8'],
      width: ['6'],
      thickness: ['1'],
    })
  })
})

describe('a plan as JSON', () => {
  it('carries the names and numbers of the format', () => {
    const cover = coverFrom(coverFile({ extras: [{ type: 'tie-pair', length: '10 in' }] }))
    const json = planToJson(plan(cover), cover.unit)
    expect(json.pieces[0]).to.deep.include({
      id: 'outer',
      role: 'outer',
      count: 1,
      cut: { width: { mm: 400.05, text: '15 3/4 in' }, height: { mm: 263.525, text: '10 3/8 in' } },
      exact: { width: { mm: 397.4527 }, height: { mm: 262.2216 } },
    })
    expect(json.standOff).to.deep.equal({ body: { mm: 2.8219 }, flap: { mm: 0.4219 } })
    expect(json.ease).to.deep.equal({
      width: { mm: 7.5973, verdict: 'snug' },
      height: { mm: 6.3034, verdict: 'snug' },
    })
    expect(json.notions).to.deep.equal([
      {
        id: 'ribbon',
        count: 2,
        length: { mm: 254, text: '10 in' },
        reasons: [{ label: 'length as set', mm: 254 }],
      },
    ])
  })

  it('makes the rounding of a notion a reason of its own', () => {
    const cover = coverFrom(coverFile({ extras: [{ type: 'tie-pair' }] }))
    const [ribbon] = planToJson(plan(cover), cover.unit).notions
    // 1 3/16 / 2 + 8 = 8 19/32 in = 218.2813 mm → 8 5/8 in = 219.075 mm
    expect(ribbon?.length?.text).to.equal('8 5/8 in')
    expect(ribbon?.reasons.at(-1)).to.deep.equal({ label: 'rounding up', mm: 0.7938 })
  })
})

describe('the JSON Schema in docs', () => {
  it('is the one that the code describes', () => {
    const docs = join(import.meta.dirname, '../../../../docs/cover-file.schema.json')
    expect(JSON.parse(readFileSync(docs, 'utf8')), 'run npm run schema').to.deep.equal(
      JSON.parse(JSON.stringify(coverJsonSchema())),
    )
  })
})
