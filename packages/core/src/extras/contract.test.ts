import { expect } from 'chai'
import { findFamily, families } from '../families/registry.js'
import { listOptionFields } from '../families/option-fields.js'
import type { CoverFile } from '../file/cover-schema.js'
import { codesOf, familyFile, planFrom } from '../file/testing/cover-files.js'
import { totalOf } from '../piece/reason.js'
import type { Plan } from '../plan/plan.js'
import type { PlaceKey } from './place-keys.js'
import { extras } from './registry.js'

/** All that a plan comes to, but for what is said of it. */
const shapeOf = ({ findings: _findings, settled: _settled, ...plan }: Plan) => JSON.stringify(plan)

const padded: CoverFile['layers'] = [
  { role: 'lining', thickness: '0.25 mm' },
  { role: 'padding', thickness: '2 mm' },
  { role: 'outer', thickness: '0.3125 mm' },
]

for (const extra of extras)
  describe(`the extra ${extra.type}`, () => {
    const carriers = families.filter(({ traits }) => extra.refuses(traits) === undefined)
    const withExtra = (family: string) =>
      familyFile(family, { layers: padded, extras: [{ type: extra.type }] })

    it('is carried by some way of making', () => {
      expect(carriers).not.to.have.length(0)
    })

    for (const { id } of carriers)
      it(`plans with its defaults on a ${id}: sizes add up, nothing hangs over, it is told apart`, () => {
        const plan = planFrom(withExtra(id))
        const bare = planFrom(familyFile(id, { layers: padded }))
        const brought = plan.pieces.filter(piece => piece.id in plan.extraPieces)
        expect(plan.pieces.length - bare.pieces.length).to.equal(brought.length)
        for (const piece of brought) {
          expect(piece.id.startsWith(extra.type)).to.equal(true)
          for (const side of [piece.width, piece.height]) expect(totalOf(side.reasons)).to.equal(side.exact)
        }
        expect(codesOf(plan)).not.to.include.members(['extra-outside'])
        expect(codesOf(plan)).not.to.include('extra-not-carried')
        expect(JSON.parse(JSON.stringify(plan))).to.deep.equal(plan)
      })

    for (const { id, traits } of carriers)
      it(`is moved on a ${id} by the places that it can take, and by no other`, () => {
        const at = (key: string, value: string) =>
          shapeOf(planFrom(familyFile(id, { layers: padded, extras: [{ type: extra.type, [key]: value }] })))
        const usual = shapeOf(planFrom(withExtra(id)))
        const heeded = extra.places(traits)
        const own = planFrom(familyFile(id, { layers: padded })).pieces.map(piece => piece.id)
        const moves = {
          on: own.map(piece => at('on', piece)),
          x: [at('x', '17 mm')],
          y: [at('y', '17 mm')],
        }
        for (const [key, plans] of Object.entries(moves))
          expect([key, plans.some(plan => plan !== usual)]).to.deep.equal([
            key,
            heeded.includes(key as PlaceKey),
          ])
      })

    it('is cut large enough, on the next mark of a grid on which hardly a sum falls', () => {
      // sums of whole millimetres fall on a grid of 5 by chance, on one of ¼ in (6.35) never
      for (const { id } of carriers) {
        const plan = planFrom({ ...withExtra(id), grid: '1/4 in' })
        const sides = [
          ...plan.pieces.flatMap(({ id: piece, width, height }) =>
            piece in plan.extraPieces ? [width, height] : [],
          ),
          ...plan.notions.flatMap(({ length }) => (length ? [length] : [])),
        ]
        for (const { exact, cut } of sides) {
          expect(cut).to.be.at.least(exact - 0.05 * 320)
          expect(cut - exact).to.be.below(6.35 * 320)
        }
      }
    })

    it('says to whoever makes it where it goes, or how large it is', () => {
      const [carrier] = carriers
      const plan = planFrom(withExtra(carrier?.id ?? ''))
      expect(plan.placed.length + plan.notes.length).to.be.above(0)
      for (const { extra: index, label, length } of plan.notes) {
        expect([index, label]).to.deep.equal([0, label.toLowerCase()])
        expect(length).to.be.above(0)
      }
    })

    it('is left out, and found fault with, where a way of making cannot carry it', () => {
      for (const { id } of families.filter(({ traits }) => extra.refuses(traits) !== undefined)) {
        const plan = planFrom(withExtra(id))
        expect(codesOf(plan)).to.include('extra-not-carried')
        expect(plan.extraPieces).to.deep.equal({})
        expect(findFamily(id)?.traits.length).to.be.above(0)
      }
    })

    it('has words for itself and each of its options, and says where it sits', () => {
      for (const words of [extra.words.name, extra.words.summary]) expect(words).to.match(/\w{3}/)
      const schema = extra.options('mm')
      const keys = listOptionFields(schema).map(([key]) => key)
      expect(keys).to.deep.equal(Object.keys(schema.shape))
      expect(keys).to.include.members(['on', 'x', 'y'])
    })
  })
