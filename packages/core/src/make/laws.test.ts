import { expect } from 'chai'
import fc from 'fast-check'
import { extras } from '../extras/registry.js'
import { families } from '../families/registry.js'
import type { CoverFile, TypedLayer } from '../file/cover-schema.js'
import { coverFrom, familyFile } from '../file/testing/cover-files.js'
import { sayPlainly } from '../finding/say.js'
import { plan } from '../plan/plan.js'
import { ancestryOf } from './ancestry.js'
import type { Assembled } from './assembled.js'
import { turnsAt } from './draft.js'
import { usualHands } from './hands.js'
import { brokenLaws, laws } from './laws.js'
import { inOrder } from './order.js'
import { assembleSteps } from './plan-steps.js'
import { cautionIds, stepKinds, workPlaces } from './step.js'

const everyLayer: TypedLayer[] = [
  { role: 'lining', name: 'lining', thickness: '0.25 mm', shrinkage: 3 },
  { role: 'interfacing', name: 'woven', thickness: '0.25 mm', backs: ['outer', 'flap'] },
  { role: 'padding', name: 'wadding', thickness: '2.3 mm', quilted: true, takeUp: 3 },
  { role: 'outer', name: 'print', thickness: '0.3 mm', print: 'one-way' },
]

/** Every way of making with every extra that it carries, plain and with all layers. */
const variants = families.flatMap(family => {
  const carried = extras.filter(extra => extra.refuses(family.traits) === undefined)
  const files: readonly (readonly [string, Partial<CoverFile>])[] = [
    ['as it is', {}],
    ['with all layers', { layers: everyLayer, pieced: ['outer'] }],
    ['of one layer', { layers: [{ role: 'outer', thickness: '0.5 mm' }] }],
    ...carried.map(
      ({ type }) =>
        [`with ${type}, twice`, { extras: [{ type }, { type }] }] satisfies [string, Partial<CoverFile>],
    ),
  ]
  const options: readonly (readonly [string, Partial<CoverFile>])[] = [
    ...['single'].flatMap(construction => chosen(family.id, 'turned-flap-cover', { construction })),
    ...['bound'].flatMap(edge => chosen(family.id, 'sleeve', { edge })),
    ...['faced'].flatMap(flapStyle => [
      ...chosen(family.id, 'slip-cover', { flapStyle }),
      ...chosen(family.id, 'zip-around', { flapStyle }),
    ]),
    ...['sewn', 'sewn-hidden'].flatMap(binding => chosen(family.id, 'board-cover', { binding })),
    ...chosen(family.id, 'glued-wrap', { pastedown: true, order: 'board-first' }),
  ]
  return [...files, ...options].map(([what, changes]) => {
    const cover = coverFrom(familyFile(family.id, changes))
    const planned = plan(cover)
    const steps = (hands = usualHands) => assembleSteps(cover, planned, { say: sayPlainly('mm'), hands })
    return { name: `${family.id} ${what}`, planned, steps }
  })
})

function chosen(family: string, of: string, options: Readonly<Record<string, unknown>>) {
  return family === of ? [[Object.values(options).join(), { options }] as const] : []
}

/** An order that keeps what each step needs, the next always drawn from those that are ready. */
function drawOrder(steps: readonly Assembled[], draws: readonly number[]): readonly Assembled[] {
  const left = [...steps]
  const done = new Set<string>()
  const order: Assembled[] = []
  while (left.length > 0) {
    const ready = left.filter(({ needs }) => needs.every(need => done.has(need)))
    const next = ready[(draws[order.length % draws.length] ?? 0) % ready.length]
    if (!next) throw new Error('Nothing is ready')
    order.push(next)
    done.add(next.id)
    left.splice(left.indexOf(next), 1)
  }
  return order
}

describe('the laws of making', () => {
  for (const { name, planned, steps } of variants)
    it(`are kept by ${name}, in the order that is offered and in any that keeps what is needed`, () => {
      const assembled = steps()
      expect(brokenLaws(inOrder(assembled), planned)).to.deep.equal([])
      fc.assert(
        fc.property(fc.array(fc.nat(40), { minLength: 8, maxLength: 60 }), draws => {
          expect(brokenLaws(drawOrder(assembled, draws), planned)).to.deep.equal([])
        }),
        { numRuns: 12 },
      )
    })

  it('hold for the other schools, and without machine or iron', () => {
    for (const { planned, steps } of variants.filter(({ name }) => /layers|as it is/.test(name)))
      for (const hands of [
        { ...usualHands, fuse: 'after', close: 'hand', hold: 'clip' } as const,
        { ...usualHands, machine: false, iron: false },
      ])
        expect(brokenLaws(inOrder(steps(hands)), planned)).to.deep.equal([])
  })

  const slip = variants.find(({ name }) => name === 'slip-cover with tie-pair, twice')
  const quilted = variants.find(({ name }) => name === 'sleeve with all layers')
  const boards = variants.find(({ name }) => name === 'board-cover as it is')
  const bound = variants.find(({ name }) => name === 'sleeve bound')
  const buttoned = variants.find(({ name }) => name === 'sleeve with loop-button, twice')
  if (!slip || !quilted || !boards || !bound || !buttoned)
    throw new Error('The covers that laws are tripped with are gone')
  const moved = (order: readonly Assembled[], id: string, to: number): readonly Assembled[] => {
    const step = order.find(known => known.id === id)
    if (!step) throw new Error(`There is no step ${id}`)
    const rest = order.filter(known => known !== step)
    return [...rest.slice(0, to), step, ...rest.slice(to)]
  }
  const changed = (order: readonly Assembled[], id: string, changes: Partial<Assembled>) =>
    order.map(step => (step.id === id ? { ...step, ...changes } : step))
  const end = 1000
  type Breach = readonly [(typeof variants)[number], (order: readonly Assembled[]) => readonly Assembled[]]
  const breaches: Readonly<Record<string, Breach>> = {
    'every piece is cut once, and used later': [slip, order => moved(order, 'cut-flap', end)],
    'every notion is attached once': [slip, order => changed(order, 'hold-ribbon', { notions: [] })],
    'a label goes on with every cut': [slip, order => changed(order, 'cut-outer', { does: 'Cut it.' })],
    'cloth is washed and pressed before it is cut': [slip, order => moved(order, 'press-cloth', end)],
    'what is done to a single layer is done before it is joined': [
      quilted,
      order => moved(order, 'fuse-outer', end),
    ],
    'a piece is trimmed after it is quilted, before it is shaped and dressed': [
      quilted,
      order =>
        moved(
          order,
          'trim-outer',
          order.findIndex(({ id }) => id === 'mark-quilting-outer'),
        ),
    ],
    'no iron between marking and the end of the quilting': [
      quilted,
      order =>
        moved(
          order,
          'fuse-outer',
          order.findIndex(({ id }) => id === 'mark-quilting-outer'),
        ),
    ],
    'what is held is held before what catches it, and looked at': [
      slip,
      order => moved(order, 'hold-ribbon', end),
    ],
    'sides are looked at and the thing is tried before the last seam': [
      slip,
      order => order.map(({ gate: _gate, ...step }) => step),
    ],
    'pins out and corners clipped before turning': [slip, order => moved(order, 'clip-corners', end)],
    'hardware after the last seam': [buttoned, order => moved(order, 'sew-button', 3)],
    'nothing is stitched where glue is wet': [boards, order => order.map(({ wait: _wait, ...step }) => step)],
    'what cannot be taken back is asked about': [
      slip,
      order => order.map(({ check: _check, ...step }) => step),
    ],
    'what is measured first is cut after it': [bound, order => moved(order, 'measure-binding', end)],
  }

  for (const { name } of laws)
    it(`notice a breach: ${name}`, () => {
      const breach = breaches[name]
      if (!breach) throw new Error(`No order breaks the law “${name}”`)
      const [{ planned, steps }, broken] = breach
      const order = inOrder(steps())
      expect(brokenLaws(order, planned)).to.deep.equal([])
      const found = brokenLaws(broken(order), planned).map(({ law }) => law)
      expect(found).to.include(name)
    })
})

describe('the steps of every way of making', () => {
  it('have known kinds, places and cautions, minutes, words and a last look', () => {
    for (const { name, steps } of variants) {
      const all = steps()
      for (const { id, kind, place, cautions = [], minutes, does, why, check } of all) {
        expect(stepKinds, `${name} ${id}`).to.include(kind)
        expect(workPlaces, `${name} ${id}`).to.include(place)
        expect(cautionIds).to.include.members([...cautions])
        expect(minutes, `${name} ${id}`).to.be.greaterThan(0)
        expect(id).to.match(/^[a-z0-9]+(-[a-z0-9]+)*$/)
        expect(`${does} ${why}`, `${name} ${id}`).not.to.match(/undefined|NaN|\{/)
        if (check) expect(check.ask.endsWith('?'), `${name} ${id}: ${check.ask}`).to.equal(true)
      }
      expect(
        all.filter(({ kind }) => kind === 'finish'),
        name,
      ).to.have.length(1)
      expect(
        all.filter(step => turnsAt(step, 'last')),
        name,
      ).to.have.length(1)
    }
  })

  it('name a joining that the plan draws', () => {
    for (const { name, planned, steps } of variants) {
      const drawn = planned.joinings.map(({ id }) => id)
      const named = steps().flatMap(({ joining }) => (joining === undefined ? [] : [joining]))
      expect(drawn, name).to.include.members(named)
    }
  })

  it('measure whatever is to be measured first', () => {
    for (const { name, planned, steps } of variants) {
      const measured = steps().flatMap(({ measures = [] }) =>
        measures.map(measure => ('piece' in measure ? measure.piece : measure.notion)),
      )
      const first = [...planned.pieces, ...planned.notions].filter(({ measureFirst }) => measureFirst)
      expect(measured, name).to.include.members(first.map(({ id }) => id))
    }
  })

  it('leave nothing else to do before what must follow within minutes', () => {
    for (const { name, steps } of variants) {
      const all = steps()
      const { isBefore } = ancestryOf(new Map(all.map(({ id, needs }) => [id, needs])))
      for (const { id } of all.filter(({ within }) => within !== undefined))
        for (const follower of all.filter(({ needs }) => needs.includes(id))) {
          const others = follower.needs.filter(need => need !== id)
          expect(
            others.filter(need => !isBefore(need, id)),
            `${name} ${id}`,
          ).to.deep.equal([])
        }
    }
  })
})
