import { expect } from 'chai'
import fc from 'fast-check'
import { drawEndOn } from '../drawing/end-on-drawing.js'
import { drawStrip } from '../drawing/strip-drawing.js'
import { drawTemplates } from '../drawing/template/template.js'
import { extras } from '../extras/registry.js'
import { listOptionFields, type OptionField } from '../families/option-fields.js'
import { families } from '../families/registry.js'
import type { CoverFile, TypedLayer } from '../file/cover-schema.js'
import { planToJson } from '../file/plan-json.js'
import { readCover } from '../file/read-cover.js'
import { sayPlainly } from '../finding/say.js'
import { foldCover } from '../folded/fold-cover.js'
import { usualHands, type Hands } from '../make/hands.js'
import { brokenLaws } from '../make/laws.js'
import { inOrder } from '../make/order.js'
import { assembleSteps, planSteps } from '../make/plan-steps.js'
import { objectKinds, spineShapes } from '../object/kind.js'
import { namePiece } from '../extras/name-piece.js'
import { plan } from './plan.js'

const tenths = (least: number, most: number) =>
  fc
    .integer({ min: Math.ceil(least * 10), max: Math.floor(most * 10) })
    .map(count => `${(count / 10).toFixed(1)} mm`)
const reading = (least: number, most: number) => tenths(least, most).map(typed => [typed])

function anyValue(field: OptionField): fc.Arbitrary<unknown> {
  switch (field.field) {
    case 'choice':
      return fc.constantFrom(...Object.keys(field.choices))
    case 'yes-no':
      return fc.boolean()
    case 'length':
      // lengths that makers take, and whatever may be written
      return fc.oneof(
        tenths(field.minMm, Math.min(field.maxMm, field.minMm + 60)),
        tenths(field.minMm, field.maxMm),
      )
    case 'count':
      return fc.integer({ min: field.min, max: Math.min(field.max, 12) })
    case 'text':
      return fc.constantFrom('outer', 'lining', 'flap', 'front', 'back', 'spine', 'nowhere')
  }
}

/** Some of the options, each with any value that its field allows. */
function anyOptions(fields: ReturnType<typeof listOptionFields>): fc.Arbitrary<Record<string, unknown>> {
  return fc.record(Object.fromEntries(fields.map(([key, field]) => [key, anyValue(field)])), {
    requiredKeys: [],
  })
}

const layer = (role: TypedLayer['role'], least: number, most: number) =>
  fc.record(
    {
      role: fc.constant(role),
      thickness: tenths(least, most),
      quilted: fc.boolean(),
      fused: fc.boolean(),
      print: fc.constantFrom('none' as const, 'one-way' as const),
    },
    { requiredKeys: ['role', 'thickness'] },
  )

const anyLayers = fc
  .tuple(
    fc.option(layer('lining', 0.1, 1)),
    fc.option(layer('interfacing', 0.1, 1)),
    fc.option(layer('padding', 0.5, 8)),
    layer('outer', 0.1, 3),
  )
  .map(list => list.filter(one => one !== null))

const anyObject = fc.record({
  kind: fc.constantFrom(...objectKinds),
  spine: fc.constantFrom(...spineShapes),
  foldsBack: fc.boolean(),
  readings: fc.record({
    height: reading(60, 420),
    width: reading(50, 320),
    thickness: reading(2, 80),
    boardThickness: reading(0.5, 5),
    pageHeight: reading(60, 420),
    pageWidth: reading(50, 320),
    contentsThickness: reading(2, 70),
  }),
})

const anyExtra = fc
  .constantFrom(...extras)
  .chain(extra =>
    anyOptions(listOptionFields(extra.options('mm'))).map(options => ({ type: extra.type, ...options })),
  )

/** Any way of making, with any of its options, for any thing, of any layers, with whatever can be added. */
const anyCover = fc
  .constantFrom(...families)
  .chain(family =>
    fc.record({
      family: fc.constant(family.id),
      options: anyOptions(listOptionFields(family.options('mm'))),
      object: anyObject,
      layers: anyLayers,
      unit: fc.constantFrom('in' as const, 'mm' as const),
      extras: fc.array(anyExtra, { maxLength: 4 }),
      pieced: fc.constantFrom([], ['outer']),
    }),
  )
  .map((drawn): CoverFile => ({ format: 'snowdrift/cover', version: 2, ...drawn, pieced: [...drawn.pieced] }))

const anyHands = fc.record({
  machine: fc.boolean(),
  iron: fc.boolean(),
  evenFeedFoot: fc.boolean(),
  zipFoot: fc.boolean(),
  fuse: fc.constantFrom('before' as const, 'after' as const),
  close: fc.constantFrom('machine' as const, 'hand' as const),
  hold: fc.constantFrom('baste' as const, 'clip' as const),
})

function everyNumber(value: unknown): readonly number[] {
  if (typeof value === 'number') return [value]
  if (typeof value === 'object' && value !== null) return Object.values(value).flatMap(everyNumber)
  return []
}

/** Checks what it comes to for covers that can be read; those that are refused say why. Gives how many were read. */
function forEachCover(check: (cover: CoverFile, hands: Hands) => void, numRuns: number): number {
  let read = 0
  fc.assert(
    fc.property(anyCover, anyHands, (file, hands) => {
      const cover = readCover(file)
      if (!cover.ok) {
        for (const { message } of cover.issues) expect(message).to.match(/\w{3}/)
        return
      }
      read += 1
      check(file, { ...usualHands, ...hands })
    }),
    { numRuns },
  )
  return read
}

const coverOf = (file: CoverFile) => {
  const read = readCover(file)
  return read.ok ? read.value : expect.fail('It was read before')
}

describe('whatever is chosen', () => {
  const numRuns = 250

  it('can be planned: every number is one, nothing is of size nought, every word is there', () => {
    const read = forEachCover(file => {
      const { pieces, findings } = planToJson(plan(coverOf(file)), file.unit ?? 'mm')
      expect(everyNumber(pieces).every(Number.isFinite)).to.equal(true)
      for (const { message, hint } of findings) expect(`${message} ${hint}`).not.to.match(/NaN|undefined|\{/)
    }, numRuns)
    expect(read).to.be.above(numRuns / 2)
  })

  it('can be made: in an order that keeps what each step needs, and every law, with whatever is at hand', () => {
    forEachCover((file, hands) => {
      const cover = coverOf(file)
      const planned = plan(cover)
      const say = sayPlainly(cover.unit)
      const { steps, minutes, elapsed } = planSteps(cover, planned, { say, hands })
      if (planned.findings.some(({ code }) => code === 'piece-too-small'))
        return expect(steps).to.deep.equal([])
      const done = new Set<string>()
      for (const { id, needs, does, why } of steps) {
        expect(
          needs.every(need => done.has(need)),
          id,
        ).to.equal(true)
        expect(`${does} ${why}`, id).not.to.match(/undefined|NaN|\{/)
        done.add(id)
      }
      expect(minutes).to.be.above(0)
      expect(elapsed).to.be.at.least(minutes)
      expect(brokenLaws(inOrder(assembleSteps(cover, planned, { say, hands })), planned)).to.deep.equal([])
    }, numRuns)
  })

  it('can be drawn: flat from both sides, end-on closed and open, on paper, coming together', () => {
    forEachCover(file => {
      const cover = coverOf(file)
      const planned = plan(cover)
      const say = sayPlainly(cover.unit)
      const drawings = [
        drawStrip(planned.strip, say, { face: 'outside' }),
        drawStrip(planned.strip, say, { face: 'inside' }),
        drawEndOn(planned.section, say),
        drawEndOn(planned.section, say, { state: 'open' }),
        ...drawTemplates(planned, { nameOf: namePiece, say, unit: cover.unit }).map(({ drawing }) => drawing),
      ]
      for (const { width, height, marks, title } of drawings) {
        expect(everyNumber([width, height, marks]).every(Number.isFinite), title).to.equal(true)
        expect(Math.min(width, height), title).to.be.above(0)
      }
      const folded = foldCover(cover, planned)
      expect(everyNumber(folded).every(Number.isFinite)).to.equal(true)
      expect(folded.stages.length).to.be.above(1)
    }, numRuns)
  })
})
