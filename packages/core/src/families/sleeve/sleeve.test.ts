import { expect } from 'chai'
import type { CoverFile, TypedLayer } from '../../file/cover-schema.js'
import {
  cutOf,
  exactOf,
  familyFile,
  findingOf,
  fitOf,
  planFrom,
  pieceOf,
} from '../../file/testing/cover-files.js'
import { toJsonMm } from '../../length/length.js'
import { quiltingPitch } from '../strip.js'

const tablet: CoverFile['object'] = {
  kind: 'tablet',
  edges: 'square',
  readings: { height: ['170 mm'], width: ['120 mm'], thickness: ['10 mm'] },
}
const padded: TypedLayer[] = [
  { role: 'lining', thickness: '0.25 mm' },
  { role: 'padding', thickness: '2 mm', squash: 0.35, takeUp: 3 },
  { role: 'outer', thickness: '0.3125 mm' },
]
const file = (changes: Partial<CoverFile> = {}) =>
  familyFile('sleeve', { object: tablet, layers: padded, ...changes })

describe('a turned, quilted sleeve', () => {
  const plan = planFrom(file())

  it('needs the device, its thickness and the bulk of the walls', () => {
    // s = 0.25 + 2·(1 − 0.175) + 0.15625 = 2.05625; π·s = 6.4599
    // width 120 + 10 + 6.4599 = 136.4599; height 170 + 5 + 3.22995 = 178.2299
    expect(toJsonMm(fitOf(plan, 'width').needed)).to.equal(136.4599)
    expect(toJsonMm(fitOf(plan, 'height').needed)).to.equal(178.2299)
  })

  it('takes the thickness off the wrap where nobody could lay calipers on it', () => {
    // 120 + (250 − 2·120) + 6.4599: the same; its reasons say where it comes from
    const wrapped = planFrom(
      file({
        object: {
          kind: 'tablet',
          edges: 'square',
          readings: { height: ['170'], width: ['120'], wrap: ['250'] },
        },
      }),
    )
    expect(toJsonMm(fitOf(wrapped, 'width').needed)).to.equal(136.4599)
    expect(toJsonMm(fitOf(wrapped, 'height').needed)).to.equal(178.2299)
    const errs = fitOf(wrapped, 'width').errs.flatMap(({ cause }) =>
      cause?.kind === 'reading' ? [cause] : [],
    )
    expect(errs.map(({ key, times }) => [key, times])).to.deep.equal([
      ['width', 1],
      ['wrap', 1],
      ['width', -2],
    ])
  })

  it('says how far its quilting lines are apart', () => {
    // 1 ½ in between the pairs, and twice ¾ in at the middle: 38 mm each
    expect(quiltingPitch(plan.strip)).to.equal(38 * 320)
    expect(quiltingPitch(planFrom(file({ options: { quilted: false } })).strip)).to.equal(undefined)
  })

  it('joins linings and drops one in only where there is a lining', () => {
    const idsOf = (layers: TypedLayer[]) => {
      const { joinings } = planFrom(file({ layers }))
      return joinings.map(({ id, layers: pile }) => [id, pile.filter(layer => layer.id === 'lining').length])
    }
    expect(idsOf(padded)).to.deep.include.members([
      ['join-linings', 2],
      ['mouth', 1],
    ])
    const bare = idsOf(padded.filter(({ role }) => role !== 'lining'))
    expect(bare.map(([id]) => id)).not.to.include('join-linings')
    expect(bare).to.deep.include(['mouth', 0])
  })

  it('quilts in pairs from the middle of each wall outwards', () => {
    // the wall is 160 − 15 = 145 wide, its middle 72.5; ¾ in to each side of it is 19, the next 38 further: 72.5 ± 19,
    // ± 57; at 95 there is no wall any more
    const at = plan.strip.lines
      .filter(({ kind }) => kind === 'quilting')
      .map(({ from }) => toJsonMm(from[0]))
      .toSorted((one, other) => one - other)
    expect(at.slice(0, 4)).to.deep.equal([15.5, 53.5, 91.5, 129.5])
    expect(at.slice(4)).to.deep.equal([15.5, 53.5, 91.5, 129.5].map(x => x + 145))
  })

  it('takes an ease of its own each way', () => {
    const easesOf = (sizing: CoverFile['sizing']) => {
      const eased = planFrom(file({ sizing, grid: '1 mm' }))
      return (['width', 'height'] as const).map(direction =>
        Math.floor(toJsonMm(fitOf(eased, direction).ease)),
      )
    }
    expect(easesOf({ mode: 'computed', easeWidth: '3 mm', easeHeight: '14 mm' })).to.deep.equal([3, 14])
    expect(easesOf({ mode: 'computed', easeHeight: '14 mm' })).to.deep.equal([8, 14])
    expect(easesOf({ mode: 'computed', easeWidth: '3 mm' })).to.deep.equal([3, 10])
  })

  it('sizes the lining, padding caught in the seam', () => {
    // r = 0.5 + 1: 136.4599 + 8 + 12 + 3 = 159.4599 → 160; 178.2299 + 10 + 15 = 203.2299 → 204
    expect(exactOf(plan, 'lining')).to.deep.equal([159.4599, 203.2299])
    expect(cutOf(plan, 'lining')).to.equal('2 × 160 mm × 204 mm')
    expect(toJsonMm(fitOf(plan, 'width').ease)).to.equal(8.5401)
  })

  it('cuts the quilted plies larger and trims them to the lining', () => {
    // 160/0.97 + 12 = 176.9485; 204/0.97 + 12 = 222.3093
    expect(exactOf(plan, 'outer')).to.deep.equal([176.9485, 222.3093])
    expect(cutOf(plan, 'padding')).to.equal('2 × 177 mm × 223 mm')
    const { trimTo } = pieceOf(plan, 'outer')
    expect([trimTo?.piece, toJsonMm(trimTo?.width ?? (0 as never))]).to.deep.equal(['lining', 160])
  })

  it('leaves room to trim as set, and none where nothing is quilted', () => {
    expect(exactOf(planFrom(file({ options: { trimAllowance: '20 mm' } })), 'outer')[0]).to.equal(184.9485)
    const plain = planFrom(file({ options: { quilted: false } }))
    expect(cutOf(plain, 'outer')).to.equal('2 × 160 mm × 204 mm')
    expect(cutOf(plain, 'padding')).to.equal('2 × 160 mm × 204 mm')
  })

  it('by rule quilts what the amount gives, and trims the lining from it', () => {
    const ruled = planFrom(file({ sizing: { mode: 'recipe', recipe: 'two-inches' } }))
    // panel 120 + 50 = 170; lining (170 − 12)·0.97 = 153.26 → 154; height 220: (220 − 12)·0.97 = 201.76 → 202
    expect(cutOf(ruled, 'outer')).to.equal('2 × 170 mm × 220 mm')
    expect(exactOf(ruled, 'lining')).to.deep.equal([153.26, 201.76])
    // 154 − 15 − 136.4599
    expect(toJsonMm(fitOf(ruled, 'width').ease)).to.equal(2.5401)
    const thick = planFrom(
      file({
        sizing: { mode: 'recipe', recipe: 'two-inches' },
        layers: padded.map(layer => (layer.role === 'padding' ? { ...layer, thickness: '5 mm' } : layer)),
      }),
    )
    expect(cutOf(thick, 'outer')).to.equal('2 × 177 mm × 227 mm')
  })

  it('refuses a device that its rule leaves no room for', () => {
    const tight = planFrom(
      file({ sizing: { mode: 'rule', measure: 'device', addWidth: '25 mm', addHeight: '60 mm' } }),
    )
    expect(findingOf(tight, 'will-not-go').about).to.equal('fit:width')
  })
})

describe('a bound sleeve', () => {
  const plan = planFrom(file({ options: { edge: 'bound' } }))

  it('takes a wide seam at the sides and the foot, and loses nothing to a turned edge', () => {
    // 136.4599 + 8 + 2·15 = 174.4599; 178.2299 + 10 + 15 = 203.2299
    expect(exactOf(plan, 'outer')).to.deep.equal([174.4599, 203.2299])
    expect(['outer', 'padding', 'lining'].map(id => cutOf(plan, id))).to.deep.equal(
      Array(3).fill('2 × 175 mm × 204 mm'),
    )
    // 204 − 15 − 178.2299
    expect(toJsonMm(fitOf(plan, 'height').ease)).to.equal(10.7701)
  })

  it('is bound round three sides and over both mouths', () => {
    // along the stitch line: 2·(204 − 15) + (175 − 2·15) + 50 = 573; 3·15 + 12 + 2·2.5625 = 62.125 is under 64
    expect(cutOf(plan, 'binding')).to.equal('1 × 573 mm × 64 mm')
    expect(pieceOf(plan, 'binding').measureFirst).to.equal(true)
    // 175 + 25; one wall 57 + 2.5625 is under 64
    expect(cutOf(plan, 'mouth-binding')).to.equal('2 × 200 mm × 64 mm')
    const stated = planFrom(file({ options: { edge: 'bound', bindingWidth: '70 mm' } }))
    expect(cutOf(stated, 'binding')).to.equal('1 × 573 mm × 70 mm')
    // wider seams want a wider strip: 3·20 + 12 + 5.125 = 77.125 → 78
    const wide = planFrom(file({ seam: '20 mm', options: { edge: 'bound' } }))
    expect(cutOf(wide, 'binding')).to.contain('× 78 mm')
  })

  it('cuts no binding for a mouth that is finished by itself', () => {
    const hemmed = planFrom(file({ options: { edge: 'bound', mouth: 'plain' } }))
    expect(hemmed.pieces.map(({ id }) => id))
      .to.include('binding')
      .and.not.include('mouth-binding')
    expect(hemmed.joinings.map(({ id }) => id)).to.deep.equal(['join-walls'])
  })

  it('follows its recipe, seam and all', () => {
    const ruled = planFrom(file({ sizing: { mode: 'recipe', recipe: 'bound-three-inches' } }))
    expect(cutOf(ruled, 'outer')).to.equal('2 × 196 mm × 246 mm')
    // 196 − 30 − 136.4599
    expect(fitOf(ruled, 'width').verdict).to.equal('roomy')
  })

  it('has a seam of ⅝ in where inches are the unit', () => {
    const inInches = planFrom({ ...file({ options: { edge: 'bound' } }), unit: 'in', grid: '1/8 in' })
    expect(toJsonMm(inInches.settled.seam)).to.equal(15.875)
  })
})
