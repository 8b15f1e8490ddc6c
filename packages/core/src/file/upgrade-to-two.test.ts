import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from 'chai'
import { families } from '../families/registry.js'
import type { MendedSize } from '../finding/data/make-findings.js'
import { toJsonMm, type Length } from '../length/length.js'
import { plan, type Plan } from '../plan/plan.js'
import { applyRepair } from './apply-repair.js'
import type { CoverFile } from './cover-schema.js'
import { readCover } from './read-cover.js'
import { codesOf, findingOf } from './testing/cover-files.js'
import { inPresentWords } from './upgrades.js'

type Json = Record<string, unknown>

/** Files as they were written in version 1, and what was cut and bought for each, as it was reckoned then. */
const folder = join(import.meta.dirname, 'testing/version-1')
const load = (name: string) => JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8')) as Json
const names = readdirSync(folder)
  .map(file => file.replace('.json', ''))
  .filter(name => name !== 'as-planned')
const asPlanned = load('as-planned') as Readonly<Record<string, Readonly<Record<string, readonly number[]>>>>

function planned(file: unknown): Plan {
  const read = readCover(file)
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  return plan(read.value)
}

const mm = (length: Length | undefined) => (length === undefined ? [] : [toJsonMm(length)])
const sizesOf = ({ pieces, notions }: Plan) =>
  new Map<string, readonly number[]>([
    ...pieces.map(({ id, width, height }) => [id, [toJsonMm(width.cut), toJsonMm(height.cut)]] as const),
    ...notions.flatMap(({ id, length }) => (length ? [[id, [toJsonMm(length.cut)]] as const] : [])),
  ])
const mendedIn = (of: Plan): readonly MendedSize[] => {
  const finding = of.findings.find(({ code }) => code === 'sizes-mended')
  return finding && 'pieces' in finding.data ? finding.data.pieces : []
}
const optionsOf = (name: string) => (inPresentWords(load(name)) as { readonly options: Json }).options

describe('a file of version 1', () => {
  it('is there for every way of making', () => {
    const made = new Set(names.map(name => load(name).family))
    expect(families.map(({ id }) => id).filter(id => !made.has(id))).to.deep.equal([])
  })

  for (const name of names)
    it(`${name}: cuts as it did, or says what is otherwise, with the size that it had`, () => {
      const now = planned(load(name))
      const mended = mendedIn(now)
      const before = asPlanned[name] ?? {}
      for (const [id, size] of sizesOf(now)) {
        const said = mended.find(({ piece }) => piece === id)
        if (!said) expect(size, id).to.deep.equal(before[id])
        else {
          const was = said.before && [...mm(said.before.width), ...mm(said.before.height)]
          expect(was, id).to.deep.equal(before[id])
          expect([...mm(said.now.width), ...mm(said.now.height)], id).to.deep.equal(size)
        }
      }
      expect([...sizesOf(now).keys()]).to.include.members(Object.keys(before))
    })

  it('says it once: whoever has seen it goes on without', () => {
    const file = inPresentWords(load('hut-ledger')) as CoverFile
    const { repair } = findingOf(planned(file), 'sizes-mended')
    if (!repair) throw new Error('Nothing to accept')
    const accepted = applyRepair(file, repair)
    expect(accepted).not.to.have.property('upgradedFrom')
    expect(codesOf(planned(accepted))).not.to.include('sizes-mended')
    expect(sizesOf(planned(accepted))).to.deep.equal(sizesOf(planned(file)))
  })

  it('is upgraded once: what is in the words of now stays as it is', () => {
    for (const name of names) {
      const once = inPresentWords(load(name))
      expect(inPresentWords(once)).to.deep.equal(once)
    }
    expect(inPresentWords('no file')).to.equal('no file')
  })

  it('keeps its turn-ins: they grow by the board that they did not count', () => {
    // 1 in beside a board of ⅛: 25.4 + 3.175; 2 in unsaid (50 mm) beside one that is taken as 2.5
    expect(optionsOf('field-guide').turnIn).to.equal('28.575 mm')
    expect(optionsOf('glued-metric').turnIn).to.equal('52.5 mm')
    // ¾ in beside 2 sheets of 1 mm; 1 in unsaid beside 3 of 0.8
    expect(optionsOf('botany-journal').turnIn).to.equal('21.05 mm')
    expect(optionsOf('odd-inserts').turnIn).to.equal('27.8 mm')
  })

  it('says what went without saying: edges, ease on folds, a recipe’s seam, cord, the ground of a pocket', () => {
    const present = (name: string) => inPresentWords(load(name)) as Json
    expect(present('sketch-tablet').object).to.include({ edges: 'square' })
    expect(present('hut-ledger').object).not.to.have.property('edges')
    expect(present('padded-turned').sizing).to.deep.equal({ mode: 'computed', easeWidth: '5 mm' })
    expect(present('course-notes').sizing).not.to.have.property('easeWidth')
    expect(present('deep-flaps-recipe').seam).to.equal('6.35 mm')
    expect(optionsOf('odd-inserts').cord).to.equal('1 mm')
    const grounds = ['quilted-slip', 'deep-flaps-recipe', 'odd-inserts'].map(name =>
      (present(name).extras as readonly Json[]).flatMap(({ on }) => (on === undefined ? [] : [on])),
    )
    expect(grounds).to.deep.equal([['flap'], ['flap-outer'], ['lining']])
    // the loop reached 1 ½ in to the middle of a button of ½: 38.1 + 12.7 stand out
    expect((present('quilted-slip').extras as readonly Json[])[1]).to.deep.equal({
      type: 'loop-button',
      button: '1/2',
      standOut: '50.8 mm',
    })
  })

  it('with anything in it that is no such file is left for the schema to find fault with', () => {
    for (const broken of [
      { object: 3 },
      { objects: [null] },
      { options: 'none', family: 'glued-wrap' },
      { extras: [7, { type: 4 }, {}] },
      { sizing: [] },
      { options: { turnIn: 'wide' }, family: 'board-cover' },
    ]) {
      const read = readCover({ ...load('hut-ledger'), ...broken })
      expect(read.ok, JSON.stringify(broken)).to.equal(false)
    }
  })
})
